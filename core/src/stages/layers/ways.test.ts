import { say } from '../../base/units/phrase';
import { KNOWN_WAYS } from '../../catalogue/knownWays';
import { heldInWords } from '../../catalogue/materials';
import { applyMend } from '../../model/finding';
import { DEFAULT_HOUSE_RULES, type HouseRules, HouseRulesSchema } from '../../model/houseRules';
import { applyChange, type Ticket } from '../../model/ticket';
import type { Way } from '../../model/way';
import { planTicket } from '../../planner/plan';
import { designed, type OneDesign } from '../../testing/designed';
import { measuredTicket, SAMPLE_SHELF, sheet } from '../../testing/samples';
import { layerFacts } from './facts';
import { appliesInWords, appliesLike, wayApplies, wayFrom } from './ways';

const MM = { system: 'mm' } as const;
const taken = (id: string): Way => {
  const known = KNOWN_WAYS.find((way) => way.id === id);
  if (!known) throw new Error(`no way ${id}`);
  return { ...known, since: '2026-03-14', on: true };
};
const holding = (...ways: Way[]): HouseRules => ({ ...DEFAULT_HOUSE_RULES, ways });

function ticketOf(
  kind: Parameters<typeof measuredTicket>[0],
  fabricId: string,
  { method = null, ...design }: OneDesign & { method?: Ticket['hoop']['method'] } = {},
): Ticket {
  const placement =
    { tote: 'clear-face', napkin: 'corner', panel: 'middle' }[kind as string] ?? 'centre-chest';
  const clothed = applyChange(measuredTicket(kind, placement, [50, 34]), {
    stage: 'piece',
    set: { fabricId },
  });
  const drawn = designed(clothed, design);
  return applyChange(drawn, { stage: 'hoop', set: { method } });
}
const layersOf = (ticket: Ticket, rules: HouseRules) => planTicket(ticket, SAMPLE_SHELF, rules).layers;
const inShort = (ticket: Ticket, rules: HouseRules) =>
  (layersOf(ticket, rules)?.sheets ?? []).map((s) => `${s.stabilizer}: ${heldInWords(s)}`);

describe('stacks that shops swear by, with a way taken on or a school chosen', () => {
  const RING = 'in the ring';
  it.each<[string, Ticket, HouseRules, string[], string]>([
    [
      'two tear-aways always, sprayed and clamped, by schools alone',
      ticketOf('panel', 'stable-cotton'),
      { ...DEFAULT_HOUSE_RULES, schools: { layerCount: 'alwaysTwo', hold: 'spray' } },
      [`tear-away: ${RING}, sprayed`, `tear-away: ${RING}, sprayed`],
      'none',
    ],

    [
      'interfacing and light mesh with a heat-away film on a sweatshirt',
      ticketOf('sweatshirt', 'sweatshirt-fleece'),
      holding(taken('way-sweatshirt')),
      ['interfacing: on the piece only, fused to the cloth', `mesh: ${RING}, sprayed`],
      'heat-away-film',
    ],
    [
      'sticky wash-away floated under a sweatshirt with a wash-away film',
      ticketOf('sweatshirt', 'sweatshirt-fleece', { method: 'floated' }),
      holding(taken('way-sweatshirt-wash-away'), taken('way-sweatshirt-wash-away-heavy')),
      [`wash-away-sticky: ${RING}, stuck to the cloth, with a basting box`],
      'soluble-film',
    ],
    [
      'and a cut-away with it when the design is heavy',
      ticketOf('sweatshirt', 'sweatshirt-fleece', { method: 'floated', densityClass: 'heavy' }),
      holding(taken('way-sweatshirt-wash-away'), taken('way-sweatshirt-wash-away-heavy')),
      [`wash-away-sticky: ${RING}, stuck to the cloth, with a basting box`, `cut-away: ${RING}`],
      'soluble-film',
    ],
    [
      'two cut-aways with a sticky tear-away on top for a floated tee',
      ticketOf('t-shirt', 'jersey-tee', { method: 'floated' }),
      holding(taken('way-floated-tee')),
      [
        `tear-away-sticky: ${RING}, stuck to the cloth, with a basting box`,
        `cut-away: ${RING}`,
        `cut-away: ${RING}`,
      ],
      'none',
    ],

    [
      'one light mesh on a canvas tote',
      ticketOf('tote', 'canvas'),
      holding(taken('way-tote-mesh')),
      [`mesh: ${RING}`],
      'none',
    ],

    [
      'linen fused and floated, because rings mark it',
      ticketOf('napkin', 'linen', { method: 'floated' }),
      holding(taken('way-linen')),
      [
        'dissolving-fusible: on the piece only, fused to the cloth',
        `dissolving-sticky: ${RING}, stuck to the cloth, with a basting box`,
      ],
      'soluble-film',
    ],

    [
      'fused mesh with two tear-aways fused one on the other under a thin white bodysuit',
      ticketOf('bodysuit', 'thin-jersey', { method: 'hooped' }),
      holding(taken('way-white-bodysuit')),
      [
        `mesh-fusible: ${RING}, fused to the cloth`,
        `tear-away-light-fusible: ${RING}, fused to the cloth`,
        `tear-away-light-fusible: ${RING}, fused to the cloth`,
      ],
      'none',
    ],

    [
      'a sheet slipped under the ring for one-colour lettering',
      ticketOf('panel', 'stable-cotton', { lettering: true, letterHeightMm: 20, method: 'hooped' }),
      holding(taken('way-lettering')),
      ['tear-away: slipped under the ring, taped'],
      'none',
    ],
  ])('%s', (_, ticket, rules, sheets, topper) => {
    expect(inShort(ticket, rules)).toEqual(sheets);
    expect(layersOf(ticket, rules)?.parts.topper.choice.id).toBe(topper);
  });

  it('cut-away clamped and sprayed to its edges, all that comes torn out at the end, by schools alone', () => {
    const rules: HouseRules = { ...DEFAULT_HOUSE_RULES, schools: { hold: 'spray', trim: 'tearAll' } };
    const plan = planTicket(ticketOf('t-shirt', 'jersey-tee'), SAMPLE_SHELF, rules);
    expect(plan.layers?.sheets).toEqual([sheet('cut-away', 'in the ring', 'sprayed')]);
    const finish = (plan.finish?.steps ?? []).map((step) => say(step.text, MM)).join('\n');
    expect(finish).toContain('Tear out everything that comes');
  });

  it('every known way applies somewhere, is in the rules’ schema, and has words for where', () => {
    expect(HouseRulesSchema.parse(holding(...KNOWN_WAYS.map((w) => taken(w.id)))).ways).toHaveLength(
      KNOWN_WAYS.length,
    );
    for (const way of KNOWN_WAYS) expect(appliesInWords(way.applies).length).toBeGreaterThan(3);
    expect(appliesInWords({ cloths: [], uses: [], densities: [], method: null, plainLettering: false })).toBe(
      'everything',
    );
  });
});

describe('a way of the shop’s own', () => {
  const tee = ticketOf('t-shirt', 'jersey-tee');
  const own: Way = {
    id: 'way-own-tee',
    name: 'club tee',
    why: 'it never puckered',
    since: '2026-03-02',
    on: true,
    applies: { cloths: ['knit'], uses: ['worn'], densities: [], method: 'hooped', plainLettering: false },
    sheets: [sheet('mesh', 'in the ring', 'sprayed'), sheet('mesh')],
    choices: { topper: { choice: 'soluble-film', why: '' } },
  };

  it('is proposed and explained with its name and day', () => {
    const layers = layersOf(tee, holding(own));
    expect(layers?.sheets).toEqual(own.sheets);
    expect(layers?.supportRule).toBe('way-own-tee');
    expect(say(layers?.supportReason.text ?? [], MM)).toBe(
      'Our club tee way, since March 2026. it never puckered.',
    );
    expect(layers?.parts.topper.choice.id).toBe('soluble-film');
    expect(layers?.supportOverruled).toBe(false);
    expect(layers?.supportAlternatives[0]?.sheets[0]?.stabilizer).toBe('cut-away');
  });

  it('is kept and not followed once it is switched off, or where it does not apply', () => {
    const usual = layersOf(tee, DEFAULT_HOUSE_RULES)?.sheets;
    expect(layersOf(tee, holding({ ...own, on: false }))?.sheets).toEqual(usual);
    expect(layersOf(tee, holding({ ...own, applies: { ...own.applies, cloths: ['pile'] } }))?.sheets).toEqual(
      usual,
    );
  });

  it('is not followed where its stack must never be, and that is told', () => {
    const fusing: Way = { ...own, sheets: [sheet('mesh-fusible', 'in the ring', 'fused')] };
    const swim = ticketOf('t-shirt', 'swim-knit');
    const layers = layersOf(swim, holding(fusing));
    expect(layers?.sheets[0]?.bond).not.toBe('fused');
    expect((layers?.supportReason.gaveWay ?? []).map((line) => say(line, MM))).toContain(
      'our club tee way: not on this piece, where its stack must never be',
    );
  });

  it('is saved from a ticket’s stack, and applies to that ticket again', () => {
    const { piece, design, hoop, layers } = planTicket(tee, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
    if (!design.facts || !hoop || !layers) throw new Error('the example is planned');
    const facts = layerFacts(piece, design.facts, hoop, DEFAULT_HOUSE_RULES);
    const applies = appliesLike(facts);
    expect(wayApplies(applies, facts)).toBe(true);
    expect(appliesInWords(applies)).toBe('knit; worn; light designs; hooped');
    const made = wayFrom(
      { id: 'way-made-here', name: 'tee', why: '', since: '2026-11-25' },
      { sheets: layers.sheets, choices: {} },
      applies,
    );
    expect(layersOf(tee, holding(made))?.supportRule).toBe('way-made-here');
  });

  it('with a sticky sheet that comes off, warns until its removal or a cover is set; either mends it', () => {
    const floated = ticketOf('t-shirt', 'jersey-tee', { method: 'floated' });
    const rules = holding(taken('way-floated-tee'));
    const warned = (ticket: Ticket) =>
      planTicket(ticket, SAMPLE_SHELF, rules).findings.filter((f) => f.code === 'never-sticky-on-skin');
    const [warning] = warned(floated);
    expect(warning?.severity).toBe('warn');
    expect(warning?.mends.map((m) => say(m.label, MM))).toEqual([
      'Tear it out to the last bit',
      'Cover the back',
    ]);
    for (const mend of warning?.mends ?? []) expect(warned(applyMend(floated, mend))).toEqual([]);
  });
});
