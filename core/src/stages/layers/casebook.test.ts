import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import type { PieceKindId } from '../../model/pieceKindIds';
import { applyChange, type Ticket } from '../../model/ticket';
import type { Sheet } from '../../model/ticket/layers';
import { planTicket } from '../../planner/plan';
import { designed } from '../../testing/designed';
import { measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { PIECE_KINDS } from '../piece/kinds';

/** Stitches to the cm² of each class, in its middle. */
const DENSITY: Record<string, number> = { open: 25, light: 60, medium: 110, heavy: 190 };
const SIDE_MM = 60;

const PIECES: Record<string, [PieceKindId, string?]> = {
  tee: ['t-shirt', 'centre-chest'],
  hoodie: ['hoodie', 'centre-chest'],
  body: ['bodysuit', 'centre-chest'],
  towel: ['bath-towel', 'above-border'],
  tea: ['tea-towel'],
  napkin: ['napkin'],
  hanky: ['handkerchief'],
  tote: ['tote'],
  jacket: ['work-jacket'],
  cushion: ['cushion'],
  toy: ['soft-toy', 'belly'],
  panel: ['panel'],
  ornament: ['ornament'],
};

/** What a case may add: letters, small letters, pale thread on dark cloth, hooped against the proposal. */
const EXTRAS: Record<string, (ticket: Ticket) => Ticket> = {
  '-': (ticket) => ticket,
  letters: (ticket) => designed(ticket, { lettering: true, letterHeightMm: 20 }),
  small: (ticket) => designed(ticket, { lettering: true, letterHeightMm: 5 }),
  contrast: (ticket) =>
    designed(applyChange(ticket, { stage: 'piece', set: { colour: '#1F2B3A' } }), {
      colours: [{ hex: '#FAFAF7', name: 'white', stitches: null }],
    }),
  'letters hooped': (ticket) =>
    designed(applyChange(ticket, { stage: 'hoop', set: { method: 'hooped' } }), {
      lettering: true,
      letterHeightMm: 20,
    }),
  floated: (ticket) => applyChange(ticket, { stage: 'hoop', set: { method: 'floated' } }),
  hooped: (ticket) => applyChange(ticket, { stage: 'hoop', set: { method: 'hooped' } }),
};

/** piece | cloth | design | school | extra | method | support, from the cloth down | topper | needle | cover | stop */
const CASEBOOK = `
tee | jersey-tee | light | - | - | hooped | cut-away ring sprayed | none | 75-ballpoint | none | 
tee | jersey-tee | medium | - | - | hooped | cut-away ring sprayed | none | 75-ballpoint | none | 
tee | jersey-tee | heavy | - | - | hooped | cut-away ring sprayed + tear-away ring | none | 75-ballpoint | none | 
tee | thick-tee | light | - | - | hooped | cut-away ring sprayed | none | 75-ballpoint | none | 
tee | thick-tee | medium | - | - | hooped | cut-away ring sprayed | none | 75-ballpoint | none | 
tee | thick-tee | heavy | - | - | hooped | cut-away ring sprayed + tear-away ring | none | 75-ballpoint | none | 
tee | thin-jersey | light | - | - | hooped | mesh-fusible ring fused | none | 75-ballpoint | none | 
tee | thin-jersey | medium | - | - | hooped | mesh-fusible ring fused + tear-away ring | none | 75-ballpoint | none | 
tee | thin-jersey | heavy | - | - | hooped | mesh-fusible ring fused + tear-away ring + tear-away ring | none | 75-ballpoint | none | 
hoodie | sweatshirt-fleece | light | - | - | hooped | mesh-fusible ring fused + cut-away ring | none | 75-ballpoint | none | 
hoodie | sweatshirt-fleece | medium | - | - | hooped | mesh-fusible ring fused + cut-away ring | none | 75-ballpoint | none | 
hoodie | sweatshirt-fleece | heavy | - | - | hooped | mesh-fusible ring fused + cut-away ring | none | 75-ballpoint | none | 
tee | pique-polo | light | - | - | hooped | cut-away ring sprayed | soluble-film | 75-ballpoint | none | 
tee | pique-polo | medium | - | - | hooped | cut-away ring sprayed | soluble-film | 75-ballpoint | none | 
tee | pique-polo | heavy | - | - | hooped | cut-away ring sprayed + tear-away ring | soluble-film | 75-ballpoint | none | 
tee | sports-knit | light | - | - | hooped | cut-away ring sprayed | soluble-film | 75-ballpoint | none | 
tee | sports-knit | medium | - | - | hooped | cut-away ring sprayed + tear-away ring | soluble-film | 75-ballpoint | none | 
tee | sports-knit | heavy | - | - | hooped | cut-away ring sprayed + tear-away ring + tear-away ring | soluble-film | 75-ballpoint | none | 
towel | terry-towel | light | - | - | floated | tear-away-light-fusible piece fused + tear-away-sticky ring sticky basted | soluble-film | 75-embroidery | none | 
towel | terry-towel | medium | - | - | floated | tear-away-light-fusible piece fused + tear-away-sticky ring sticky basted | soluble-film | 75-embroidery | none | 
towel | terry-towel | heavy | - | - | floated | tear-away-light-fusible piece fused + tear-away-sticky ring sticky basted | soluble-film | 75-embroidery | none | 
tea | waffle-towel | light | - | - | floated | tear-away-sticky ring sticky basted | soluble-film | 75-embroidery | none | 
tea | waffle-towel | medium | - | - | floated | tear-away-sticky ring sticky basted | soluble-film | 75-embroidery | none | 
tea | waffle-towel | heavy | - | - | floated | tear-away-sticky ring sticky basted + tear-away under tape | soluble-film | 75-embroidery | none | 
panel | stable-cotton | light | - | - | hooped | tear-away ring | none | 75-sharp | none | 
panel | stable-cotton | medium | - | - | hooped | tear-away ring | none | 75-sharp | none | 
panel | stable-cotton | heavy | - | - | hooped | cut-away ring + tear-away ring | none | 75-sharp | none | 
napkin | linen | light | - | - | floated | dissolving-sticky ring sticky basted | soluble-film | 75-embroidery | none | 
napkin | linen | medium | - | - | floated | dissolving-sticky ring sticky basted | soluble-film | 75-embroidery | none | 
napkin | linen | heavy | - | - | floated | dissolving-sticky ring sticky basted + tear-away under tape | soluble-film | 75-embroidery | none | 
tea | poly-cotton | light | - | - | hooped | tear-away ring | none | 75-sharp | none | 
tea | poly-cotton | medium | - | - | hooped | tear-away ring | none | 75-sharp | none | 
tea | poly-cotton | heavy | - | - | hooped | cut-away ring + tear-away ring | none | 75-sharp | none | 
panel | dress-weight | light | - | - | hooped | tear-away-light-fusible ring fused | none | 65 | none | 
panel | dress-weight | medium | - | - | hooped | tear-away-light-fusible ring fused | none | 65 | none | 
panel | dress-weight | heavy | - | - | hooped | tear-away-light-fusible ring fused + tear-away ring | none | 65 | none | layers-drape-dense
hanky | lawn | light | - | - | hooped | tear-away-light-fusible ring fused | none | 65 | none | 
hanky | lawn | medium | - | - | hooped | tear-away-light-fusible ring fused | none | 65 | none | 
hanky | lawn | heavy | - | - | hooped | tear-away-light-fusible ring fused + tear-away ring | none | 65 | none | layers-drape-dense
tote | canvas | light | - | - | hooped | nothing | none | 90 | none | 
tote | canvas | medium | - | - | hooped | nothing | none | 90 | none | 
tote | canvas | heavy | - | - | hooped | tear-away under tape + tear-away under tape | none | 90 | none | 
jacket | denim | light | - | - | hooped | nothing | none | 90 | none | 
jacket | denim | medium | - | - | hooped | nothing | none | 90 | none | 
jacket | denim | heavy | - | - | hooped | tear-away under tape + tear-away under tape | none | 90 | none | 
cushion | faux-suede | light | - | - | hooped | cut-away ring sprayed | none | 75-sharp | none | 
cushion | faux-suede | medium | - | - | hooped | cut-away ring sprayed | none | 75-sharp | none | 
cushion | faux-suede | heavy | - | - | hooped | cut-away ring sprayed + tear-away ring sprayed | none | 75-sharp | none | 
cushion | stable-cotton | light | - | - | hooped | cut-away ring | none | 75-sharp | none | 
cushion | stable-cotton | medium | - | - | hooped | cut-away ring | none | 75-sharp | none | 
cushion | stable-cotton | heavy | - | - | hooped | cut-away ring + tear-away ring | none | 75-sharp | none | 
toy | plush | light | - | - | floated | cut-away ring sprayed basted | soluble-film | 75-embroidery | none | 
toy | plush | medium | - | - | floated | cut-away ring sprayed basted | soluble-film | 75-embroidery | none | 
toy | plush | heavy | - | - | floated | cut-away ring sprayed basted + tear-away under tape | soluble-film | 75-embroidery | none | 
panel | organza | light | - | - | hooped | wash-away-film-heavy ring | none | 65 | none | 
panel | organza | medium | - | - | hooped | wash-away-film-heavy ring | none | 65 | none | 
panel | organza | heavy | - | - | hooped | wash-away-film-heavy ring + wash-away-film-heavy ring | none | 65 | none | 
ornament | no-cloth | light | - | - | hooped | wash-away-film-heavy ring + wash-away-film-heavy ring | none | 75-embroidery | none | 
ornament | no-cloth | medium | - | - | hooped | wash-away-film-heavy ring + wash-away-film-heavy ring | none | 75-embroidery | none | 
ornament | no-cloth | heavy | - | - | hooped | wash-away-film-heavy ring + wash-away-film-heavy ring | none | 75-embroidery | none | 
ornament | wool-felt | light | - | - | hooped | tear-away ring | none | 75-sharp | none | 
ornament | wool-felt | medium | - | - | hooped | tear-away ring | none | 75-sharp | none | 
ornament | wool-felt | heavy | - | - | hooped | cut-away ring + tear-away ring | none | 75-sharp | none | 
body | thin-jersey | light | - | - | floated | mesh-fusible piece fused + tear-away ring sprayed basted | none | 75-ballpoint | soft-cover | 
body | thin-jersey | medium | - | - | floated | mesh-fusible piece fused + tear-away ring sprayed basted | none | 75-ballpoint | soft-cover | 
body | thin-jersey | heavy | - | - | floated | mesh-fusible piece fused + tear-away ring sprayed basted + tear-away under tape | none | 75-ballpoint | soft-cover | 
panel | fleece | light | - | - | floated | tear-away-light-fusible piece fused + tear-away-sticky ring sticky basted | soluble-film | 75-embroidery | none | 
panel | fleece | medium | - | - | floated | tear-away-light-fusible piece fused + tear-away-sticky ring sticky basted | soluble-film | 75-embroidery | none | 
panel | fleece | heavy | - | - | floated | tear-away-light-fusible piece fused + tear-away-sticky ring sticky basted | soluble-film | 75-embroidery | none | 
panel | velvet | light | - | - | floated | tear-away-sticky ring sticky basted | permanent-film | 75-embroidery | none | 
panel | velvet | medium | - | - | floated | tear-away-sticky ring sticky basted | permanent-film | 75-embroidery | none | 
panel | velvet | heavy | - | - | floated | tear-away-sticky ring sticky basted + tear-away under tape | permanent-film | 75-embroidery | none | 
hoodie | fleece | light | - | - | floated | mesh-fusible piece fused + tear-away ring sprayed basted | soluble-film | 75-embroidery | none | 
hoodie | fleece | medium | - | - | floated | mesh-fusible piece fused + tear-away ring sprayed basted | soluble-film | 75-embroidery | none | 
hoodie | fleece | heavy | - | - | floated | mesh-fusible piece fused + tear-away ring sprayed basted | soluble-film | 75-embroidery | none | 
tee | merino | light | - | - | hooped | cut-away ring sprayed | none | 75-ballpoint | none | 
tee | merino | medium | - | - | hooped | cut-away ring sprayed + tear-away ring | none | 75-ballpoint | none | 
tee | merino | heavy | - | - | hooped | cut-away ring sprayed + tear-away ring + tear-away ring | none | 75-ballpoint | none | 
tee | rib-knit | light | - | - | hooped | cut-away ring sprayed | soluble-film | 75-ballpoint | none | 
tee | rib-knit | medium | - | - | hooped | cut-away ring sprayed + tear-away ring | soluble-film | 75-ballpoint | none | 
tee | rib-knit | heavy | - | - | hooped | cut-away ring sprayed + tear-away ring + tear-away ring | soluble-film | 75-ballpoint | none | 
panel | satin | light | - | - | hooped | tear-away-light-fusible ring fused | none | 65 | none | 
panel | satin | medium | - | - | hooped | tear-away-light-fusible ring fused | none | 65 | none | 
panel | satin | heavy | - | - | hooped | tear-away-light-fusible ring fused + tear-away ring | none | 65 | none | layers-drape-dense
panel | faux-leather | light | - | - | hooped | cut-away ring sprayed | none | 75-sharp | none | 
panel | faux-leather | medium | - | - | hooped | cut-away ring sprayed | none | 75-sharp | none | 
panel | faux-leather | heavy | - | - | hooped | cut-away ring sprayed + tear-away ring sprayed | none | 75-sharp | none | 
tee | jersey-tee | medium | wearableBacking=washAway | - | hooped | wash-away-cloth ring sprayed | none | 75-ballpoint | none | 
tee | jersey-tee | medium | wearableBacking=meshTear | - | hooped | mesh ring sprayed + tear-away ring | none | 75-ballpoint | none | 
tee | jersey-tee | medium | layerCount=alwaysTwo | - | hooped | cut-away ring sprayed + tear-away ring | none | 75-ballpoint | none | 
tee | jersey-tee | medium | hold=spray | - | hooped | cut-away ring sprayed | none | 75-ballpoint | none | 
tee | jersey-tee | medium | topper=always | - | hooped | cut-away ring sprayed | soluble-film | 75-ballpoint | none | 
jacket | canvas | light | thickJacket=floated | - | hooped | tear-away under tape | none | 90 | none | 
jacket | canvas | light | layerCount=alwaysTwo | - | hooped | nothing | none | 90 | none | 
panel | stable-cotton | light | layerCount=alwaysTwo | - | hooped | tear-away ring + tear-away ring | none | 75-sharp | none | 
towel | terry-towel | light | layerCount=alwaysTwo | - | floated | tear-away-light-fusible piece fused + tear-away-sticky ring sticky basted | soluble-film | 75-embroidery | none | 
toy | plush | light | - | letters | floated | tear-away ring sprayed basted | soluble-film | 75-embroidery | none | 
tee | jersey-tee | light | - | small | hooped | cut-away ring sprayed | none | 65 | none | 
tea | waffle-towel | light | - | contrast | floated | tear-away-sticky ring sticky basted | permanent-film | 75-embroidery | none | 
towel | terry-towel | light | - | contrast | floated | tear-away-light-fusible piece fused + tear-away-sticky ring sticky basted | permanent-film | 75-embroidery | none | 
panel | linen | open | - | hooped | hooped | dissolving-fusible ring fused | soluble-film | 75-embroidery | none | 
body | thin-jersey | light | wearableBacking=washAway | - | floated | wash-away-sticky ring sticky basted | none | 75-ballpoint | soft-cover | 
panel | stable-cotton | light | - | contrast | hooped | tear-away ring | permanent-film | 75-sharp | none | 
tee | jersey-tee | light | - | contrast | hooped | cut-away ring sprayed | permanent-film | 75-ballpoint | none | 
tote | canvas | light | - | floated | floated | tear-away ring sprayed basted | none | 90 | none | 
jacket | denim | heavy | - | floated | floated | tear-away ring sprayed basted + tear-away under tape | none | 90 | none | 
tote | duck | medium | - | floated | floated | tear-away ring sprayed basted | none | 90 | none | 
tee | jersey-tee | light | hold=sticky | floated | floated | wash-away-sticky ring sticky basted + cut-away ring | none | 75-ballpoint | none | 
tee | jersey-tee | light | hold=baste | floated | floated | cut-away ring basted | none | 75-ballpoint | none | 
tee | jersey-tee | light | hold=baste | - | hooped | cut-away ring sprayed basted | none | 75-ballpoint | none | 
panel | stable-cotton | light | hold=spray | - | hooped | tear-away ring sprayed | none | 75-sharp | none | 
panel | stable-cotton | light | hold=sticky | - | hooped | tear-away-sticky ring sticky | none | 75-sharp | none | 
tee | jersey-tee | light | knitTension=snug | - | hooped | cut-away ring | none | 75-ballpoint | none | 
hoodie | sweatshirt-fleece | light | wearableBacking=washAway | floated | floated | wash-away-sticky ring sticky basted | none | 75-ballpoint | none | 
hoodie | sweatshirt-fleece | heavy | wearableBacking=washAway | floated | floated | wash-away-sticky ring sticky basted + cut-away ring | none | 75-ballpoint | none | 
tea | poly-cotton | light | - | floated | floated | tear-away-sticky ring sticky pins | none | 75-sharp | none | 
toy | plush | light | - | letters hooped | hooped | tear-away under tape | soluble-film | 75-embroidery | none | 
`;

const CASES = CASEBOOK.trim()
  .split('\n')
  .map((row) => row.split('|').map((cell) => cell.trim()));

const WHERE_SHORT: Record<Sheet['where'], string> = {
  'in the ring': 'ring',
  'under the ring': 'under',
  'on the piece': 'piece',
};

/** "cut-away ring sprayed": the stabilizer, where it is, its bond and what fastens it, where they are something. */
const inShort = ({ stabilizer, where, bond, fastening }: Sheet): string =>
  [stabilizer, WHERE_SHORT[where], bond, fastening === 'basting box' ? 'basted' : fastening]
    .filter((word) => word !== 'none')
    .join(' ');

function answerOf([piece = '', cloth = '', density = '', school = '-', extra = '-']: string[]): string[] {
  const [kind, placement] = PIECES[piece] ?? ['panel'];
  const measured = measuredTicket(kind, placement ?? PIECE_KINDS[kind].placements[0].id, [SIDE_MM, SIDE_MM]);
  const stitches = Math.round(((DENSITY[density] ?? 0) * SIDE_MM * SIDE_MM) / 100);
  const clothed = applyChange(measured, { stage: 'piece', set: { fabricId: cloth, colour: '#C9D6DF' } });
  const colours = [{ hex: '#7C93A6', name: 'grey', stitches: null }];
  const drawn = designed(clothed, { stitches, densityClass: null, colours });
  const ticket = EXTRAS[extra]?.(drawn) ?? drawn;
  const [question, chosen] = school.split('=');
  const schools = question && chosen ? { [question]: chosen } : {};
  const plan = planTicket(ticket, SAMPLE_SHELF, { ...DEFAULT_HOUSE_RULES, schools });
  const { layers, hoop } = plan;
  if (!layers) throw new Error(`the case ${piece} ${cloth} has no layers`);
  const stops = plan.findings.filter((f) => f.stage === 'layers' && f.severity === 'stop').map((f) => f.code);
  return [
    hoop?.method ?? '',
    layers.sheets.map(inShort).join(' + ') || 'nothing',
    layers.parts.topper.choice.id,
    layers.parts.needle.choice.id,
    layers.parts.cover.choice.id,
    stops.join(),
  ];
}

it('has a hundred cases and more', () => {
  expect(CASES.length).toBeGreaterThanOrEqual(100);
});

it.each(CASES.map((row) => [row.slice(0, 5).join(' | '), row] as const))('%s', (_, row) => {
  expect(answerOf(row)).toEqual(row.slice(5));
});
