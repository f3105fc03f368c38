import type { DisplayUnits } from '@zt/core/base/units/length';
import type { CutFrom } from '@zt/core/ledger/rolls/cutting';
import { type SheetPiece, sheetPieces } from '@zt/core/ledger/rolls/sheetPieces';
import { View } from 'react-native';
import { metres, sides } from '../../components/figures';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useRules, useShelf, useUnits } from '../../hooks/useTicket';
import { CutPicture, cutScale } from './CutPicture';

function fromWords({ sheet, material, metres: length, offcuts }: CutFrom, units: DisplayUnits): string {
  const from = sheet
    ? `from a sheet or offcut of ${sides(sheet, units)}`
    : `${metres(length)} off a roll with ${metres(material.metresLeft)} left`;
  return [from, ...offcuts.map((size) => `leaves ${sides(size, units)}`)].join('; ');
}

function missingWords({ type, count, missing }: SheetPiece, owned: ReadonlySet<string>): string {
  const whose = missing === count ? '' : `for ${missing} of them `;
  return `${whose}${owned.has(type) ? 'no sheet on the shelf is large enough, and no roll has enough' : 'none of it on the shelf'}`;
}

/** What to cut for this ticket, and from what: an offcut before the roll. */
export function CutList() {
  const plan = usePlan();
  const shelf = useShelf();
  const rules = useRules();
  const units = useUnits();
  const pieces = sheetPieces(plan, shelf, rules);
  const owned = new Set(shelf.materials.map((m) => m.type));
  if (pieces.length === 0) return null;
  const scale = cutScale(pieces.flatMap(({ from }) => from));
  return (
    <Stack gap={4}>
      <Txt as="heading" level={2}>
        Cut
      </Txt>
      {pieces.map((piece, i) => (
        <View key={`${i} ${piece.type}`} testID="cut">
          <Txt>{`${piece.count > 1 ? `${piece.count} × ` : ''}${piece.name}: ${sides(piece, units)}`}</Txt>
          {piece.from.map((from, at) => (
            <Row key={at} gap={10} align="middle">
              <CutPicture cut={from} scale={scale} />
              <Stack grow>
                <Txt as="small" tone="graphite">
                  {fromWords(from, units)}
                </Txt>
              </Stack>
            </Row>
          ))}
          {piece.missing > 0 ? (
            <Txt as="small" tone="madder">
              {missingWords(piece, owned)}
            </Txt>
          ) : null}
        </View>
      ))}
    </Stack>
  );
}
