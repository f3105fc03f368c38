import { boxOf, formatFigure, formatLength } from '@zt/core';
import { useOpenTicket } from '../../hooks/useTicket';
import { Dimension } from '../../sheet/marks';
import { TicketSheet } from '../../sheet/TicketSheet';

/** The piece with every tape reading where the tape lies. */
export function PieceDrawing() {
  const { plan, units } = useOpenTicket();
  const { piece } = plan;
  const readings = piece.kind.readings;
  const figure = (id: string) => {
    const value = piece.readings[id];
    return value === undefined ? '?' : formatFigure(value, units);
  };
  const description = `${piece.kind.name}, drawn to scale. ${readings.map((r) => `${r.name}: ${piece.readings[r.id] === undefined ? 'not measured' : formatLength(piece.readings[r.id] ?? 0, units)}`).join('; ')}.`;
  return (
    <TicketSheet
      focus={boxOf(piece.sketch.outline)}
      description={description}
      withDesign={false}
      over={(view, palette) =>
        readings.map((reading) => {
          const { [reading.from]: from, [reading.to]: to } = piece.sketch.landmarks;
          return from && to ? (
            <Dimension
              key={reading.id}
              view={view}
              palette={palette}
              from={from}
              to={to}
              text={figure(reading.id)}
              at={reading.id === 'chestWidth' ? 0.3 : reading.id === 'length' ? 0.7 : 0.5}
            />
          ) : null;
        })
      }
    />
  );
}
