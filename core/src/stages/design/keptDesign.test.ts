import { TicketSchema } from '../../model/ticket';
import { newTicket, withTodaysFields } from '../../planner/newTicket';
import { exampleA, TWO_SQUARES } from '../../testing/samples';

/** A ticket as it was kept before a design had parts. */
function ofBefore(design: object, more: object = {}) {
  const { letters: _, madeFrom: __, source: ___, ...artwork } = TWO_SQUARES;
  const old = {
    name: 'Crossed oars',
    widthMm: 120,
    heightMm: 40,
    stitches: 5000,
    densityClass: null,
    colours: [
      { hex: '#1F3A5F', name: 'navy', stitches: 3000 },
      { hex: '#E0B33A', name: 'yellow', stitches: 2000 },
    ],
    hasUp: true,
    lettering: false,
    letterHeightMm: null,
    scalePercent: 90,
    artwork,
    elementMoves: [
      { x: 5, y: 0 },
      { x: -5, y: 0 },
    ],
    looks: 'left',
    ...design,
  };
  return withTodaysFields({ ...newTicket('ticket-of-before', 't-shirt'), ...more, design: old } as never);
}

describe('a design from before there were parts', () => {
  it('is its own only part, and lies as it came', () => {
    const { design } = ofBefore({});
    const [part] = design.parts;
    expect(design).toMatchObject({
      name: 'Crossed oars',
      hasUp: true,
      looks: 'left',
      scalePercent: 90,
      order: null,
    });
    expect(design.parts).toHaveLength(1);
    expect(part).toMatchObject({
      at: { x: 0, y: 0 },
      turnDeg: 0,
      mirrored: false,
      scalePercent: 100,
      widthMm: 120,
      heightMm: 40,
      stitches: 5000,
      letters: null,
      elementMoves: [
        { x: 5, y: 0 },
        { x: -5, y: 0 },
      ],
    });
    expect(part?.colours.map(({ name }) => name)).toEqual(['navy', 'yellow']);
    expect(part?.artwork).toEqual(TWO_SQUARES);
    expect('widthMm' in design).toBe(false);
  });

  it('goes onto the schema, and is left alone afterwards', () => {
    const today = ofBefore({});
    expect(TicketSchema.safeParse(today).error).toBeUndefined();
    expect(withTodaysFields(today)).toEqual(today);
    expect(withTodaysFields(exampleA())).toEqual(exampleA());
  });

  it('may be from a time that knew neither moves nor looks', () => {
    const { elementMoves: _, looks: __, ...design } = { elementMoves: undefined, looks: undefined };
    const { parts } = ofBefore({ ...design, artwork: null, widthMm: null }).design;
    expect(parts[0]).toMatchObject({ widthMm: null, artwork: null });
  });

  it('keeps what was typed and not taken, and what another device offers, at the fields of today', () => {
    const offer = { by: 'the phone', when: '2026-05-04T10:00:00Z' };
    const today = ofBefore(
      {},
      {
        unread: {
          'design.widthMm': 'about four',
          'design.name': 'x',
          'design.colours.1.name': 'y',
          'place.edgeGapMm': 'z',
        },
        offers: {
          one: { at: 'design.heightMm', value: 41, ...offer },
          two: { at: 'design.scalePercent', value: 80, ...offer },
          three: { at: 'unread.design.stitches', value: 'many', ...offer },
          four: { at: 'design', value: { name: 'Oars', widthMm: 50 }, ...offer },
        },
      },
    );
    expect(today.unread).toEqual({
      'design.parts.0.widthMm': 'about four',
      'design.name': 'x',
      'design.parts.0.colours.1.name': 'y',
      'place.edgeGapMm': 'z',
    });
    expect(Object.values(today.offers).map(({ at }) => at)).toEqual([
      'design.parts.first-part.heightMm',
      'design.scalePercent',
      'unread.design.parts.0.stitches',
      'design',
    ]);
    expect(today.offers.four?.value).toMatchObject({ name: 'Oars', parts: [{ widthMm: 50 }] });
  });
});
