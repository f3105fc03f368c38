import { formatLength, sheetPieces } from '@zt/core';
import { View } from 'react-native';
import { metres } from '../../components/figures';
import { Txt } from '../../components/ui/Txt';
import { useOpenTicket } from '../../hooks/useTicket';

/** What to cut for this ticket, and from which roll. */
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
          <Txt>{`${piece.count > 1 ? `${piece.count} × ` : ''}${piece.name}: ${formatLength(piece.widthMm, units)} × ${formatLength(piece.heightMm, units)}`}</Txt>
          <Txt as="small" tone={piece.roll ? 'graphite' : 'madder'}>
            {piece.roll && piece.metres !== null
              ? `${metres(piece.metres)} off a roll with ${metres(piece.roll.metresLeft)} left`
              : 'no roll on the shelf is wide enough'}
          </Txt>
        </View>
      ))}
    </View>
  );
}
