import { negate } from '@zt/core/base/geometry/point';
import { formatLength } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import { type Method, otherHoop } from '@zt/core/model/ticket/hoop';
import type { HoopVerdict } from '@zt/core/stages/hoop/judgeHoop';
import type { LaidHoop } from '@zt/core/stages/hoop/layHoop';
import { inHoopFrame } from '@zt/core/stages/hoop/ring';
import { sidesInWords } from '@zt/core/stages/hoop/sides';
import { Pressable, View } from 'react-native';
import { Choice } from '../../components/ui/Choice';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { Why } from '../../components/Why';
import { announce } from '../../everyone/announce';
import { usePlan, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { WhichHoops } from '../../shop/Kit';
import { usePalette } from '../../theme/palette';
import { LatePastPieces } from '../LatePastPieces';
import { hoopLaidBy } from './useRingDrag';

const METHODS: readonly { id: Method; name: string }[] = [
  { id: 'hooped', name: 'Hooped' },
  { id: 'floated', name: 'Floated' },
];

function VerdictRow({
  verdict,
  chosen,
  proposed,
  line,
  onChoose,
}: {
  verdict: HoopVerdict;
  chosen: boolean;
  proposed: boolean;
  line: string;
  onChoose: () => void;
}) {
  const p = usePalette();
  const usable = verdict.fits && verdict.whyNotUsed === null;
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      aria-label={`${verdict.hoop.name}${proposed ? ', proposed' : ''}: ${line}`}
      onPress={onChoose}
      style={{
        flexDirection: 'row',
        gap: 10,
        alignItems: 'center',
        minHeight: 52,
        paddingVertical: 7,
        paddingHorizontal: 8,
        borderBottomWidth: 1,
        borderColor: p.hairline,
        backgroundColor: chosen ? p.shade : 'transparent',
        borderLeftWidth: 5,
        borderLeftColor: chosen ? p.ink : 'transparent',
      }}
    >
      <View style={{ width: 30, height: 30, alignItems: 'center', justifyContent: 'center' }}>
        <View
          style={{
            width: verdict.hoop.fieldWidthMm / 12,
            height: verdict.hoop.fieldHeightMm / 12,
            borderWidth: 1.5,
            borderRadius: verdict.hoop.round ? 20 : 2,
            borderColor: usable ? p.ink : p.graphite,
            borderStyle: usable ? 'solid' : 'dashed',
          }}
        />
      </View>
      <Stack grow>
        <Txt
          as="strong"
          tone={usable ? 'ink' : 'graphite'}
        >{`${verdict.hoop.name}${proposed ? ' · proposed' : ''}`}</Txt>
        <Txt as="small" tone={usable ? 'moss' : 'madder'}>
          {line}
        </Txt>
      </Stack>
    </Pressable>
  );
}

/** How far the design may still be dragged in this hoop as it lies. */
function RoomLine({ laid }: { laid: LaidHoop }) {
  const units = useUnits();
  const ways = (['up', 'down', 'left', 'right'] as const).filter((way) => laid.room[way] >= 0.5);
  const { crookedMostDeg: crooked } = laid;
  if (laid.allowed.length === 0) return null;
  const moves =
    ways.length === 0
      ? 'It fills the field: it cannot be moved in this hoop.'
      : `In this hoop it can still go ${ways.map((way) => `${formatLength(laid.room[way], units)} ${way}`).join(', ')}.`;
  const turns =
    crooked === null || crooked >= 90
      ? ''
      : ` It may lie ${Math.round(crooked * 10) / 10}° crooked and still fit.`;
  return (
    <Txt as="small" tone="graphite" testID="room">
      {`${moves}${turns}`}
    </Txt>
  );
}

const NUDGES = [
  { sign: '←', way: 'left', x: -5, y: 0 },
  { sign: '↑', way: 'up', x: 0, y: -5 },
  { sign: '↓', way: 'down', x: 0, y: 5 },
  { sign: '→', way: 'right', x: 5, y: 0 },
] as const;

/** The hoop laid elsewhere without dragging it; the design stays on its mark. */
function HoopNudges({ laid }: { laid: LaidHoop }) {
  const { change } = useTicketActs();
  if (laid.split) return null;
  return (
    <Row gap={6} align="middle" role="group" aria-label="Lay the hoop elsewhere, 5 mm at a time">
      {NUDGES.map(({ sign, way, ...by }) => (
        <Press
          key={way}
          title={sign}
          label={`Hoop 5 mm ${way}`}
          onPress={() => {
            change({ stage: 'hoop', set: hoopLaidBy(laid, negate(laid.designAt), by) }, 'hoop nudged');
            announce(`Hoop 5 mm ${way}.`);
          }}
        />
      ))}
      <Stack grow>
        <Txt as="small" tone="graphite">
          the hoop, 5 mm
        </Txt>
      </Stack>
    </Row>
  );
}

/** The parts of a split design: which is in the hoop, and where its crosses are found on the grid. */
function SplitParts({ laid }: { laid: LaidHoop }) {
  const units = useUnits();
  const { change } = useTicketActs();
  const { split } = laid;
  if (!split || split.split.parts.length < 2) return null;
  return (
    <Stack gap={6}>
      <Choice
        label={split.split.byPositions ? 'Latched in place' : 'In the hoop now'}
        options={split.split.parts.map((_, i) => ({ id: String(i), name: `part ${i + 1}` }))}
        chosen={String(split.index)}
        onChoose={(id) => change({ stage: 'hoop', set: { part: Number(id) } })}
      />
      <Txt as="label" tone="graphite">
        Its registration crosses on the hoop’s grid
      </Txt>
      {split.part.crosses.map((k) => {
        const at = split.crosses[k];
        if (!at) return null;
        return (
          <Txt key={k} testID="cross">
            {`Cross ${k + 1}: ${say(sidesInWords(inHoopFrame(at, laid), 'in the middle'), units)}`}
          </Txt>
        );
      })}
    </Stack>
  );
}

/** Which hoop, hooped or floated, with a verdict on every one. */
export function HoopPanel() {
  const ticket = useTicket('hoop');
  const plan = usePlan('hoop', 'layers');
  const units = useUnits();
  const { change } = useTicketActs();
  const { hoop } = plan;
  if (!hoop) return null;
  const laid = hoop.laid;
  if (hoop.verdicts.length === 0)
    return (
      <Stack gap={12}>
        <Txt as="heading" level={2}>
          Which hoops do you have?
        </Txt>
        <Txt>Tap them: this piece is worked out with what is on the shelf.</Txt>
        <WhichHoops />
      </Stack>
    );
  return (
    <Stack gap={12}>
      <View>
        <Txt as="heading" level={2}>
          {laid ? `${laid.verdict.hoop.name}, ${hoop.method}` : 'No hoop fits'}
        </Txt>
        {laid ? <Txt>{say(laid.verdict.line, units)}</Txt> : null}
        {laid ? <RoomLine laid={laid} /> : null}
        {hoop.cut ? (
          <Txt
            as="small"
            tone="graphite"
          >{`Cut stabilizer ${formatLength(hoop.cut.widthMm, units)} × ${formatLength(hoop.cut.heightMm, units)} for the ring; a patch under the field alone ${formatLength(hoop.cut.patch.widthMm, units)} × ${formatLength(hoop.cut.patch.heightMm, units)}.${plan.layers?.bastingMm ? ` Baste a box ${formatLength(plan.layers.bastingMm, units)} outside the design.` : ''}`}</Txt>
        ) : null}
        {plan.layers ? <Txt as="small">{say(plan.layers.tension, units)}</Txt> : null}
      </View>
      {laid ? <SplitParts laid={laid} /> : null}
      {laid ? <HoopNudges laid={laid} /> : null}
      {ticket.hoop.shift !== null ? (
        <Press
          kind="link"
          title="lay the hoop where it is proposed"
          onPress={() => change({ stage: 'hoop', set: { shift: null } })}
        />
      ) : null}
      <Choice
        label="Method"
        quiet
        options={METHODS}
        chosen={hoop.method}
        onChoose={(method) => change({ stage: 'hoop', set: { method } })}
      />
      {ticket.hoop.method !== null ? (
        <Stack gap={6}>
          <WordsField
            label="Why this method (goes into the log)"
            at="hoop.methodWhy"
            value={ticket.hoop.methodWhy}
            onText={(methodWhy) => change({ stage: 'hoop', set: { methodWhy } })}
          />
          <Press
            kind="link"
            title="as proposed"
            onPress={() => change({ stage: 'hoop', set: { method: null, methodWhy: '' } })}
          />
        </Stack>
      ) : null}
      <View>
        <Why about="this hoop and method" reasons={hoop.reasons} units={units} />
        <LatePastPieces on="hoop" />
      </View>
      <View role="radiogroup" aria-label="Hoops on the shelf">
        {hoop.verdicts.map((verdict) => (
          <VerdictRow
            key={verdict.hoop.id}
            verdict={verdict}
            chosen={verdict.hoop.id === laid?.verdict.hoop.id}
            proposed={verdict.hoop.id === hoop.proposedId}
            line={say(verdict.line, units)}
            onChoose={() => change({ stage: 'hoop', set: otherHoop(verdict.hoop.id) })}
          />
        ))}
      </View>
      {ticket.hoop.hoopId !== null ? (
        <Press
          kind="link"
          title="take the proposed hoop"
          onPress={() => change({ stage: 'hoop', set: otherHoop(null) })}
        />
      ) : null}
    </Stack>
  );
}
