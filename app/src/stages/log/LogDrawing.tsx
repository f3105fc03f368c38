import { boxOf, inflate, widthOf } from '@zt/core/base/geometry/box';
import type { Point } from '@zt/core/base/geometry/point';
import type { FaultId } from '@zt/core/model/faults';
import { FAULTS } from '@zt/core/model/faults';
import { posesOf } from '@zt/core/stages/place/moveCopy';
import { G } from 'react-native-svg';
import { usePlan, useTicket } from '../../hooks/useTicket';
import { ChalkCross, Zigzag } from '../../sheet/layers/marks';
import { TicketSheet } from '../../sheet/TicketSheet';
import { spotTapped } from '../../store/editor';
import { useAppDispatch, useAppSelector } from '../../store/store';

const nameOf = (fault: FaultId): string =>
  (FAULTS.find(({ id }) => id === fault)?.name ?? '').split(',')[0] ?? '';

/** So much of the design's width is seen round it. */
const ROUND_IT = 0.5;

/** The finished piece: what was off is tapped where it is, and stands there. */
export function LogDrawing() {
  const { place, piece } = usePlan('place', 'piece');
  const { log } = useTicket('log');
  const spot = useAppSelector(({ editor }) => editor.spot);
  const dispatch = useAppDispatch();
  if (!place) return null;
  const design = boxOf(posesOf(place).flatMap(({ footprint }) => [...footprint]));
  const spots = [...log.spots, ...log.others.flatMap((other) => other.spots)];
  const said = spots.map(({ fault }) => nameOf(fault).toLowerCase());
  return (
    <TicketSheet
      focus={inflate(design, Math.max(20, widthOf(design) * ROUND_IT))}
      description={`The ${piece.kind.name.toLowerCase()} as it came out. Tap it where something is off.${said.length > 0 ? ` Marked: ${said.join(', ')}.` : ''}`}
      onTap={(at: Point) => void dispatch(spotTapped({ x: Math.round(at.x), y: Math.round(at.y) }))}
      over={
        <G>
          {spots.map(({ fault, at }) => (
            <Zigzag key={`${fault} ${at.x} ${at.y}`} at={at} text={nameOf(fault)} />
          ))}
          {spot ? <ChalkCross at={spot} size={16} /> : null}
        </G>
      }
    />
  );
}
