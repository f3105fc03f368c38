import { boxOf } from '@zt/core/base/geometry/box';
import type { Point } from '@zt/core/base/geometry/point';
import { formatFigure, formatLength } from '@zt/core/base/units/length';
import { faceOf } from '@zt/core/stages/piece/planPiece';
import type { Reading } from '@zt/core/stages/piece/readings';
import { G } from 'react-native-svg';
import { usePlan, useReading, useUnits } from '../../hooks/useTicket';
import { Magnifier } from '../../sheet/layers/Magnifier';
import { ChalkCross, Dimension, TapeLaid } from '../../sheet/layers/marks';
import { useOnSheet } from '../../sheet/onSheet';
import { placesForFigures } from '../../sheet/placesForFigures';
import { TicketSheet } from '../../sheet/TicketSheet';
import { seamMarks, useSeamDrag } from './useSeamDrag';

interface LaidReading {
  reading: Reading;
  from: Point;
  to: Point;
  /** Null draws the line alone. */
  text: string | null;
}

/** Readings where they are taken, the one in hand as the tape itself. */
function Readings({ laid, current }: { laid: LaidReading[]; current: Reading | null }) {
  const { view } = useOnSheet();
  const at = placesForFigures(view, laid);
  return laid
    .map(({ reading, ...tape }, i) => {
      const Tape = reading === current ? TapeLaid : Dimension;
      return <Tape key={reading.id} {...tape} at={at[i] ?? 0.5} />;
    })
    .reverse();
}

/** The edges as they were read at each height, to be dragged to where the tape finds them. */
function Seams({ drag }: { drag: ReturnType<typeof useSeamDrag> }) {
  const { view } = usePlan('piece').piece;
  const units = useUnits();
  const { held, evenness } = drag;
  const far = held ? Math.abs(held.at.x) : 0;
  return (
    <>
      {evenness.map(({ atMm, leftMm, rightMm }, i) => (
        <Dimension
          key={i}
          from={{ x: -leftMm, y: view.datumSign * atMm }}
          to={{ x: rightMm, y: view.datumSign * atMm }}
          text={null}
        />
      ))}
      {seamMarks(evenness, view).map(({ row, side, at }) => (
        <G key={`${row} ${side}`} testID={`edge ${row + 1} ${side === 'leftMm' ? 'left' : 'right'}`}>
          <ChalkCross at={at} number={row + 1} />
        </G>
      ))}
      {held ? (
        <Magnifier
          at={held.at}
          words={`${formatLength(far, units)} ${held.side === 'leftMm' ? 'left' : 'right'}`}
        />
      ) : null}
    </>
  );
}

/**
 * The face on which a reading is taken. The one being taken lies on it as a tape with its figure; once none is, every
 * reading stands there with its own.
 */
export function PieceDrawing() {
  const plan = usePlan('piece');
  const units = useUnits();
  const at = useReading();
  const seams = useSeamDrag();
  const { piece } = plan;
  const faceIdOf = (reading: Reading) => reading.on ?? piece.kind.views[0].id;
  const current = piece.asked.find((r) => r.id === at) ?? null;
  const viewId = current ? faceIdOf(current) : piece.view.id;
  const face = faceOf(piece, viewId) ?? { view: piece.view, sketch: piece.sketch };
  const isTaken = ({ id }: Reading) => piece.readings[id] !== undefined && !piece.assumed.includes(id);
  const readings = piece.asked.filter((r) => faceIdOf(r) === viewId && isTaken(r));
  const inWords = (r: Reading) => {
    const value = piece.readings[r.id];
    if (value === undefined) return 'not measured';
    return `${formatLength(value, units)}${isTaken(r) ? '' : ' as usual'}`;
  };
  const figure = (id: string) => {
    const value = piece.readings[id];
    return value === undefined ? '?' : formatFigure(value, units);
  };
  const others = readings.filter((r) => r !== current);
  const laid = [...(current ? [current] : []), ...others].flatMap((reading) => {
    const { [reading.from]: from, [reading.to]: to } = face.sketch.landmarks;
    const text = current && reading !== current ? null : figure(reading.id);
    return from && to ? [{ reading, from, to, text }] : [];
  });
  // Only what is drawn can be taken hold of.
  const isSeamed = seams.evenness.length > 0 && viewId === piece.view.id;
  const description = `${piece.kind.name}, ${face.view.name.toLowerCase()}, drawn to scale. ${piece.asked.map((r) => `${r.name}: ${inWords(r)}`).join('; ')}.`;
  return (
    <TicketSheet
      focus={boxOf(face.sketch.outline)}
      description={description}
      withDesign={false}
      face={face}
      {...(isSeamed ? { grip: seams } : {})}
      over={
        <>
          <Readings laid={laid} current={current} />
          {isSeamed ? <Seams drag={seams} /> : null}
        </>
      }
    />
  );
}
