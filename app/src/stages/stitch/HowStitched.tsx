import { numberFor } from '@zt/core/catalogue/houseNumber';
import { DESIGN_NUMBERS } from '@zt/core/catalogue/numbers/design';
import { type Part, type StitchWay, WAYS } from '@zt/core/model/ticket/part';
import { nameOfPart } from '@zt/core/stages/design/parts/drawnPart';
import { withWay } from '@zt/core/stages/design/parts/stopActs';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { NumberField } from '../../components/ui/NumberField';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Swatch } from '../../components/ui/Swatch';
import { Tick } from '../../components/ui/Tick';
import { Txt } from '../../components/ui/Txt';
import { useRules, useTicket, useTicketActs } from '../../hooks/useTicket';

const BY_WIDTH = 'by width';
const WAY_NAMES: readonly { id: StitchWay | typeof BY_WIDTH; name: string }[] = [
  { id: BY_WIDTH, name: BY_WIDTH },
  ...WAYS.map((id) => ({ id, name: id })),
];
const ALONG = 'longest way';
const ANGLES = [ALONG, '0', '45', '90', '-45'] as const;
const angleNames = ANGLES.map((id) => ({ id, name: id === ALONG ? ALONG : `${id}°` }));

/** How one colour of a part is stitched. */
function ColourWay({ part, stop, onSet }: { part: Part; stop: number; onSet: (part: Part) => void }) {
  const colour = part.colours[stop];
  const own = part.ways.find((way) => way.stop === stop) ?? { stop, way: null, angleDeg: null };
  if (!colour) return null;
  const what = `${colour.name} of ${nameOfPart(part)}`;
  const angle = ANGLES.find((id) => id !== ALONG && Number(id) === own.angleDeg) ?? ALONG;
  return (
    <Stack gap={4}>
      <Row gap={8} align="middle">
        <Swatch hex={colour.hex} />
        <Txt as="small">{what}</Txt>
      </Row>
      <Choice
        label={`How ${what} is stitched`}
        quiet
        small
        options={WAY_NAMES}
        chosen={own.way ?? BY_WIDTH}
        onChoose={(way) => onSet(withWay(part, { ...own, way: way === BY_WIDTH ? null : way }))}
      />
      <Choice
        label={`Rows of ${what}`}
        quiet
        small
        options={angleNames}
        chosen={angle}
        onChoose={(id) => onSet(withWay(part, { ...own, angleDeg: id === ALONG ? null : Number(id) }))}
      />
    </Stack>
  );
}

/** How the design is stitched, where it is not as the shop does. */
export function HowStitched() {
  const { design } = useTicket('design');
  const { change } = useTicketActs();
  const rules = useRules();
  const { stitching, parts } = design;
  const drawn = parts.filter(({ artwork }) => artwork !== null);
  if (drawn.length === 0) return null;
  const set = (more: Partial<typeof stitching>) =>
    change({ stage: 'design', set: { stitching: { ...stitching, ...more } } });
  const setPart = (next: Part) =>
    change({
      stage: 'design',
      set: { parts: parts.map((part) => (part.id === next.id ? next : part)) },
    });
  const usual = numberFor(rules, DESIGN_NUMBERS.fillRowMm);
  return (
    <Disclosure title="How it is stitched">
      <Txt as="small">
        An honest estimate of how it would be digitized: your machine’s own count, typed with the design,
        always goes first.
      </Txt>
      <NumberField
        label={`rows apart, mm (empty: ${usual})`}
        at="design.stitching.rowMm"
        value={stitching.rowMm}
        onNumber={(rowMm) => set({ rowMm })}
      />
      <Tick
        title="Rows beneath the fills"
        on={stitching.underlay}
        onToggle={(underlay) => set({ underlay })}
      />
      <Tick
        title="Remove what lies hidden under satin and lines, too"
        on={stitching.cutUnder === 'all'}
        onToggle={(all) => set({ cutUnder: all ? 'all' : 'fills' })}
      />
      {drawn.map((part) =>
        part.colours.map((_, stop) => (
          <ColourWay key={`${part.id} ${stop}`} part={part} stop={stop} onSet={setPart} />
        )),
      )}
    </Disclosure>
  );
}
