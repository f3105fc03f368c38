import { formatLength } from '@zt/core/base/units/length';
import { MARK_IDS, type MarkFound, type MarkId } from '@zt/core/model/ticket/mount';
import type { CrookedPlan } from '@zt/core/stages/mount/crooked';
import { MARK_NAMES } from '@zt/core/stages/mount/hoopAgain';
import { oneDigit } from '../../components/figures';
import { Callout } from '../../components/ui/Callout';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { SidedLengthField } from '../../components/ui/SidedLengthField';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { Why } from '../../components/Why';
import { usePlan, useReading, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { FieldFindings } from '../FieldFindings';
import { lieWords, markToTap, tapping, tenthMm } from './readings';

/** By half a millimetre, as one stands at the machine. */
const NUDGES = [
  { title: '←', way: 'left', by: { x: -0.5, y: 0 } },
  { title: '→', way: 'right', by: { x: 0.5, y: 0 } },
  { title: '↑', way: 'away', by: { x: 0, y: -0.5 } },
  { title: '↓', way: 'towards you', by: { x: 0, y: 0.5 } },
] as const;

const FIRST_MARKS: readonly MarkId[] = ['centre', 'left', 'right'];

/** What the readings say: how crooked, what is left, how much more it may turn. */
function Verdict({ crooked }: { crooked: CrookedPlan }) {
  const units = useUnits();
  if (crooked.crookedDeg === null) return null;
  const way = crooked.crookedDeg >= 0 ? 'clockwise' : 'counter-clockwise';
  const { room } = crooked;
  const wrong = crooked.findings.some((f) => f.severity === 'stop');
  return (
    <Callout tone={wrong ? 'madder' : 'moss'} gap={2}>
      <Txt as="strong" testID="crooked">
        {Math.abs(crooked.crookedDeg) < 0.05
          ? 'It lies as it should.'
          : `It lies ${oneDigit(Math.abs(crooked.crookedDeg))}° ${way} of how it should.`}
      </Txt>
      <Txt>{`Keyed as below, ${formatLength(crooked.leftOverMm, units)} are left at the farthest corner.`}</Txt>
      {room && room.clockwiseDeg < 90 ? (
        <Txt as="small" tone="graphite">
          {`Here it may turn ${oneDigit(room.clockwiseDeg)}° more clockwise, ${oneDigit(room.counterDeg)}° counter-clockwise, and still fit.`}
        </Txt>
      ) : null}
    </Callout>
  );
}

/** Marks read off the hoop's grid: typed here, or dragged on the drawn hoop. */
export function CrookedFields() {
  const ticket = useTicket('mount', 'unread');
  const plan = usePlan('mount');
  const units = useUnits();
  const reading = useReading();
  const { change, setReading } = useTicketActs();
  const { mount } = plan;
  if (!mount) return null;
  const { readings } = ticket.mount;
  // What could not be read stays in sight.
  const isTyped = (i: number) =>
    ['x', 'y'].some((way) => ticket.unread[`mount.readings.${i}.${way}`] !== undefined);
  const set = (next: MarkFound[], gesture?: string) =>
    change({ stage: 'mount', set: { readings: next } }, gesture);
  const readingOf = (mark: MarkId): MarkFound => {
    const should = mount.marksShould[mark];
    return { mark, x: tenthMm(should.x), y: tenthMm(should.y), chalkedAt: mount.marksAt[mark] };
  };
  const put = (mark: MarkId, rest: Partial<MarkFound>) =>
    set(
      readings.map((r) => (r.mark === mark ? { ...r, ...rest } : r)),
      `mark ${mark}`,
    );
  const missing = MARK_IDS.filter((mark) => !readings.some((r) => r.mark === mark));
  return (
    <Disclosure
      key={readings.length > 0 ? 'read' : 'none'}
      title="Read the marks off the hoop"
      label="How it sits in the hoop"
      startOpen={readings.length > 0}
    >
      {readings.length === 0 ? (
        <>
          <Txt as="small">
            Hooped already? Read where the chalked marks are on the hoop’s grid, from the middle of the field.
            The keys then follow the cloth as it really lies.
          </Txt>
          <Press title="Read three marks" onPress={() => set(FIRST_MARKS.map(readingOf))} />
        </>
      ) : (
        <>
          <Txt as="small">
            From the middle of the field, as you stand at the machine. Drag the crosses on the drawing: a
            glass shows the grid under the finger. Then nudge them by half a millimetre, or type.
          </Txt>
          {readings.map(({ mark, x, y }, i) => (
            <Stack key={mark} gap={4}>
              <Row gap={0} align="middle" spread>
                <Txt as="label">{MARK_NAMES[mark]}</Txt>
                <Press
                  kind="link"
                  title={markToTap(reading) === mark ? 'now tap it on the hoop' : 'tap it on the hoop'}
                  label={`Tap the ${MARK_NAMES[mark]} on the hoop`}
                  onPress={() => setReading(tapping(mark))}
                />
              </Row>
              <Txt>{lieWords({ x, y }, units)}</Txt>
              <Row gap={6}>
                {NUDGES.map(({ title, way, by }) => (
                  <Press
                    key={way}
                    grow
                    title={title}
                    label={`${MARK_NAMES[mark]}: half a millimetre ${way}`}
                    onPress={() => put(mark, { x: tenthMm(x + by.x), y: tenthMm(y + by.y) })}
                  />
                ))}
              </Row>
              <Disclosure title="Type it" label={`Type the ${MARK_NAMES[mark]}`} startOpen={isTyped(i)}>
                <SidedLengthField
                  label={`${MARK_NAMES[mark]} across`}
                  at={`mount.readings.${i}.x`}
                  mm={x}
                  sides={['left', 'right']}
                  onLength={(mm) => put(mark, { x: mm })}
                />
                <SidedLengthField
                  label={`${MARK_NAMES[mark]} along`}
                  at={`mount.readings.${i}.y`}
                  mm={y}
                  sides={['away', 'towards you']}
                  onLength={(mm) => put(mark, { y: mm })}
                />
              </Disclosure>
            </Stack>
          ))}
          <FieldFindings field="readings" />
          {mount.crooked ? <Verdict crooked={mount.crooked} /> : null}
          <Why
            about="how it sits"
            reasons={mount.reasons.filter((r) => r.about === 'crooked')}
            units={units}
          />
          <Row wrap>
            {missing.map((mark) => (
              <Press
                key={mark}
                title={`+ ${MARK_NAMES[mark]}`}
                label={`Read the ${MARK_NAMES[mark]} too`}
                onPress={() => set([...readings, readingOf(mark)])}
              />
            ))}
            <Press kind="link" title="Leave the readings out" onPress={() => set([])} />
          </Row>
        </>
      )}
    </Disclosure>
  );
}
