import { nameOfColour } from '@zt/core/base/colour/colour';
import { say } from '@zt/core/base/units/phrase';
import {
  APPLIQUE_EDGES,
  APPLIQUE_WAYS,
  type Applique,
  type AppliqueWay,
  USUAL_APPLIQUE,
} from '@zt/core/model/ticket/applique';
import type { Part } from '@zt/core/model/ticket/part';
import { clothShapesOf, withCloth, withShape } from '@zt/core/stages/design/applique/acts';
import { cutWords } from '@zt/core/stages/design/applique/cutOffset';
import { useRouter } from 'expo-router';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { LengthField } from '../../components/ui/LengthField';
import { Press } from '../../components/ui/Press';
import { Stack } from '../../components/ui/Stack';
import { Tick } from '../../components/ui/Tick';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { useRules, useTicket, useUnits } from '../../hooks/useTicket';
import { ColourField } from '../piece/ColourField';
import { ShapePicker } from './ShapePicker';
import { useParts } from './useParts';

const WAY_NAMES: Record<AppliqueWay, { name: string; detail: string }> = {
  preCut: { name: 'cut before', detail: 'laid on its line' },
  trimmed: { name: 'trimmed in the hoop', detail: 'cut back once tacked down' },
  rawEdge: { name: 'raw edge', detail: 'seen, held from inside' },
  turned: { name: 'turned under', detail: 'folded before it is laid' },
};
const WAYS = APPLIQUE_WAYS.map((id) => ({ id, ...WAY_NAMES[id] }));
const EDGES = APPLIQUE_EDGES.map((id) => ({ id, name: id }));

/** So many shapes are picked one by one; of more, all of a colour are of cloth. */
const MOST_PICKED = 60;

interface ColourProps {
  part: Part;
  index: number;
  stop: number;
}

/** How the cloth of one colour is cut, laid and held. */
function ClothOf({
  part,
  index,
  applique,
  place,
}: Omit<ColourProps, 'stop'> & { applique: Applique; place: number }) {
  const { set } = useParts();
  const { design } = useTicket('design');
  const rules = useRules();
  const units = useUnits();
  const { cloth, way, edge, edgeMm, stop } = applique;
  const put = (more: Partial<Applique>) =>
    set(part.id, { appliques: withCloth(part, stop, { ...applique, ...more }) });
  const putCloth = (more: Partial<Applique['cloth']>) => put({ cloth: { ...cloth, ...more } });
  const at = (field: string): string => `design.parts.${index}.appliques.${place}.${field}`;
  const shapes = clothShapesOf(part, stop);
  return (
    <Stack gap={10}>
      {shapes.length > 1 && shapes.length <= MOST_PICKED ? (
        <ShapePicker
          part={part}
          applique={applique}
          onShape={(shape) =>
            set(part.id, { appliques: withCloth(part, stop, withShape(part, applique, shape)) })
          }
        />
      ) : null}
      <Choice
        label="How it is cut"
        small
        options={WAYS}
        chosen={way}
        onChoose={(next) => put({ way: next })}
      />
      {way === 'rawEdge' ? null : (
        <>
          <Choice
            label="Its edge"
            small
            options={EDGES}
            chosen={edge}
            onChoose={(next) => put({ edge: next })}
          />
          <LengthField
            label={edge === 'satin' ? 'width of the satin' : 'length of the blanket stitch'}
            at={at('edgeMm')}
            mm={edgeMm}
            onLength={(mm) => put({ edgeMm: mm })}
          />
        </>
      )}
      <Txt as="strong" testID="cloth-cut">
        {say(cutWords(applique, design.scalePercent / 100, rules), units)}
      </Txt>
      <WordsField
        label="Cloth"
        at={at('cloth.name')}
        value={cloth.name}
        onText={(name) => putCloth({ name })}
      />
      <ColourField label="Colour of the cloth" hex={cloth.hex} onHex={(hex) => putCloth({ hex })} />
      <LengthField
        label="width of the piece it is cut from"
        at={at('cloth.stripMm')}
        mm={cloth.stripMm}
        onLength={(stripMm) => putCloth({ stripMm })}
        stepper={false}
      />
      <Tick title="Backed with fusible web" on={cloth.fused} onToggle={(fused) => putCloth({ fused })} />
      <Tick
        title="Cut along the grain, upright as in the design"
        on={cloth.alongGrain}
        onToggle={(alongGrain) => putCloth({ alongGrain })}
      />
    </Stack>
  );
}

/** One colour of a part: thread, or cloth. */
function ColourCloth({ part, index, stop }: ColourProps) {
  const { set } = useParts();
  const colour = part.colours[stop];
  const place = part.appliques.findIndex((one) => one.stop === stop);
  const applique = part.appliques[place];
  if (!colour) return null;
  const called = colour.name || nameOfColour(colour.hex);
  const begin: Applique = { ...USUAL_APPLIQUE, stop, cloth: { ...USUAL_APPLIQUE.cloth, hex: colour.hex } };
  return (
    <Stack gap={8}>
      <Tick
        title={`${called} is of cloth`}
        on={applique !== undefined}
        onToggle={(on) => set(part.id, { appliques: withCloth(part, stop, on ? begin : null) })}
      />
      {applique ? <ClothOf part={part} index={index} applique={applique} place={place} /> : null}
    </Stack>
  );
}

/** Which colours of a part are not stitched full but laid on as cloth, and the way to where it is cut. */
export function ClothFields({ part, index }: { part: Part; index: number }) {
  const { id } = useTicket('id');
  const router = useRouter();
  const stops = part.colours.map((_, stop) => stop).filter((stop) => clothShapesOf(part, stop).length > 0);
  if (stops.length === 0) return null;
  const laid = part.appliques.map(({ cloth }) => cloth.name || 'cloth');
  return (
    <Disclosure
      title={laid.length > 0 ? `Appliqué of ${laid.join(' and ')}` : 'Appliqué'}
      label="appliqué of this part"
    >
      <Stack gap={12}>
        {stops.map((stop) => (
          <ColourCloth key={stop} part={part} index={index} stop={stop} />
        ))}
        {laid.length > 0 ? (
          <Press title="Cut the cloth" onPress={() => router.push(`/ticket/${id}/cloth`)} />
        ) : (
          <Txt as="small" tone="graphite">
            Cloth in place of a fill: a line to lay it by, a tack-down, an edge.
          </Txt>
        )}
      </Stack>
    </Disclosure>
  );
}
