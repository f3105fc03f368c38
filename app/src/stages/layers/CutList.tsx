import { type CutFrom, type DisplayUnits, sheetPieces } from '@zt/core';
import { View } from 'react-native';
import { metres, sides } from '../../components/figures';
import { Txt } from '../../components/ui/Txt';
import { useOpenTicket } from '../../hooks/useTicket';

function fromWords({ sheet, material, metres: length, offcuts }: CutFrom, units: DisplayUnits): string {
  const from = sheet
    ? `from a sheet or offcut of ${sides(sheet, units)}`
    : `${metres(length)} off a roll with ${metres(material.metresLeft)} left`;
  return [from, ...offcuts.map((size) => `leaves ${sides(size, units)}`)].join('; ');
}

/** What to cut for this ticket, and from what: an offcut before the roll. */
export function CutList() {
  const { plan, shelf, rules, units } = useOpenTicket();
  const pieces = sheetPieces(plan, shelf, rules);
  if (pieces.length === 0) return null;
  return (
    <View style={{ gap: 4 }}>
      <Txt as="heading" level={2}>
        Cut
      </Txt>
      {pieces.map((piece, i) => (
        <View key={`${i} ${piece.type}`} testID="cut">
          <Txt>{`${piece.count > 1 ? `${piece.count} × ` : ''}${piece.name}: ${sides(piece, units)}`}</Txt>
          {piece.from.map((from, at) => (
            <Txt key={at} as="small" tone="graphite">
              {fromWords(from, units)}
            </Txt>
          ))}
          {piece.missing > 0 ? (
            <Txt as="small" tone="madder">
              {`${piece.missing === piece.count ? 'nothing' : `for ${piece.missing} of them nothing`} on the shelf is large enough`}
            </Txt>
          ) : null}
        </View>
      ))}
    </View>
  );
}
