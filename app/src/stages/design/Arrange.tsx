import { formatLength } from '@zt/core/base/units/length';
import type { Part } from '@zt/core/model/ticket/part';
import {
  ALIGN_TO,
  type AlignTo,
  aligned,
  type Chosen,
  copied,
  lifted,
  mayBeMirrored,
  mirrorParts,
  pairedInGlass,
  ringed,
  scaled,
  spread,
  turned,
  without,
} from '@zt/core/stages/design/parts/acts';
import { useState } from 'react';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { Disclosures } from '../../components/ui/Disclosures';
import { NumberField } from '../../components/ui/NumberField';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { SidedLengthField } from '../../components/ui/SidedLengthField';
import { Stack } from '../../components/ui/Stack';
import { Tick } from '../../components/ui/Tick';
import { Txt } from '../../components/ui/Txt';
import { newId } from '../../hooks/newId';
import { useUnits } from '../../hooks/useTicket';
import { useParts } from './useParts';

/** Where a part lies, and how it is turned and scaled, as figures. */
function Pose({ part, index }: { part: Part; index: number }) {
  const { set } = useParts();
  const at = (field: string) => `design.parts.${index}.${field}`;
  return (
    <Stack gap={6}>
      <SidedLengthField
        label="across"
        at={at('at.x')}
        mm={part.at.x}
        sides={['left', 'right']}
        onLength={(x) => set(part.id, { at: { ...part.at, x } })}
      />
      <SidedLengthField
        label="up or down"
        at={at('at.y')}
        mm={part.at.y}
        sides={['up', 'down']}
        onLength={(y) => set(part.id, { at: { ...part.at, y } })}
      />
      <NumberField
        label="turned, ° clockwise"
        at={at('turnDeg')}
        value={part.turnDeg}
        onNumber={(turnDeg) => set(part.id, { turnDeg })}
      />
      <NumberField
        label="scaled, %"
        at={at('scalePercent')}
        value={part.scalePercent}
        onNumber={(scalePercent) => set(part.id, { scalePercent })}
        hint={
          part.artwork
            ? 'Stitched anew at that size: its stitches are worked out again.'
            : 'It keeps its stitches, as a machine does.'
        }
      />
    </Stack>
  );
}

const RING_COUNTS = ['2', '3', '4', '6', '8', '12'] as const;
const RING_STEP_MM = 5;

/** How many stand in a ring, and how far out. */
function RingOf({ chosen, onRing }: { chosen: Chosen; onRing: (ring: Chosen) => void }) {
  const units = useUnits();
  const [count, setCount] = useState<(typeof RING_COUNTS)[number]>('4');
  const [radiusMm, setRadiusMm] = useState(30);
  const [turning, setTurning] = useState(true);
  const wider = (by: number) => () => setRadiusMm(Math.max(RING_STEP_MM, radiusMm + by));
  return (
    <Disclosure title="Put it in a ring">
      <Txt as="small">What is chosen stands at the top; the others go round clockwise.</Txt>
      <Choice
        label="How many in the ring"
        small
        options={RING_COUNTS.map((id) => ({ id, name: id }))}
        chosen={count}
        onChoose={setCount}
      />
      <Row>
        <Txt>{`${formatLength(radiusMm, units)} from the middle`}</Txt>
        <Press title="−" label="Ring: closer" onPress={wider(-RING_STEP_MM)} />
        <Press title="+" label="Ring: wider" onPress={wider(RING_STEP_MM)} />
      </Row>
      <Tick title="Each looks outwards" on={turning} onToggle={setTurning} />
      <Press
        title={`Make a ring of ${count}`}
        onPress={() => onRing(ringed(chosen, { count: Number(count), radiusMm, turning }, newId))}
      />
    </Disclosure>
  );
}

const ALIGN_WORDS: Record<AlignTo, string> = {
  left: 'left edges',
  centre: 'centres',
  right: 'right edges',
  top: 'tops',
  middle: 'middles',
  bottom: 'bottoms',
};

/** Lines what is chosen up: with each other, or one with the rest of the design. */
function LineUp({ chosen, onParts }: { chosen: Chosen; onParts: (parts: Part[]) => void }) {
  return (
    <Disclosure title={chosen.ids.length > 1 ? 'Line them up' : 'Line it up with the rest'}>
      <Row wrap gap={6}>
        {ALIGN_TO.map((to) => (
          <Press
            key={to}
            title={ALIGN_WORDS[to]}
            label={`Line up ${ALIGN_WORDS[to]}`}
            onPress={() => onParts(aligned(chosen, to))}
          />
        ))}
      </Row>
      {chosen.ids.length > 2 ? (
        <Row wrap gap={6}>
          <Press title="spread across" onPress={() => onParts(spread(chosen, 'across'))} />
          <Press title="spread down" onPress={() => onParts(spread(chosen, 'down'))} />
        </Row>
      ) : null}
    </Disclosure>
  );
}

const SCALE_BY = 1.05;

/** What can be done to the parts that are chosen. */
export function Arrange() {
  const { parts, ids, only, put, putChosen, choose } = useParts();
  if (ids.length === 0) return null;
  const chosen: Chosen = { parts, ids };
  const among = parts.filter(({ id }) => ids.includes(id));
  const left = without(chosen);
  const many = parts.length > 1;
  return (
    <Stack gap={8}>
      <Row wrap gap={6}>
        <Press title="Copy" label="Copy what is chosen" onPress={() => putChosen(copied(chosen, newId))} />
        <Press
          title="Mirrored pair"
          label="Put a mirrored copy on the other side"
          onPress={() => putChosen(pairedInGlass(chosen, newId))}
        />
        {among.some(mayBeMirrored) ? (
          <Press title="Mirror" label="Mirror left for right" onPress={() => put(mirrorParts(chosen))} />
        ) : null}
        <Press title="↺ 15°" label="Turn 15° left" onPress={() => put(turned(chosen, -15))} />
        <Press title="↻ 15°" label="Turn 15° right" onPress={() => put(turned(chosen, 15))} />
        <Press title="−" label="Make it 5 % smaller" onPress={() => put(scaled(chosen, 1 / SCALE_BY))} />
        <Press title="+" label="Make it 5 % larger" onPress={() => put(scaled(chosen, SCALE_BY))} />
        {many ? (
          <>
            <Press title="Lift" label="Lift it over the next part" onPress={() => put(lifted(chosen, 1))} />
            <Press
              title="Lower"
              label="Lower it under the next part"
              onPress={() => put(lifted(chosen, -1))}
            />
          </>
        ) : null}
        {left ? (
          <Press
            title="Take away"
            label="Take away what is chosen"
            onPress={() => {
              put(left);
              choose([]);
            }}
          />
        ) : null}
      </Row>
      <Disclosures>
        {many ? <LineUp chosen={chosen} onParts={put} /> : null}
        <RingOf chosen={chosen} onRing={putChosen} />
        {only ? (
          <Disclosure title="Where it lies, in figures">
            <Pose part={only} index={parts.indexOf(only)} />
          </Disclosure>
        ) : null}
      </Disclosures>
    </Stack>
  );
}
