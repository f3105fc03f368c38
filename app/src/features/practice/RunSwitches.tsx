import { say } from '@zt/core/base/units/phrase';
import type { OnPractice } from '@zt/core/model/api';
import { practiceOutcome } from '@zt/core/table/practice/index';
import { oneDigit } from '../../components/figures';
import { Callout } from '../../components/ui/Callout';
import { Meter } from '../../components/ui/Meter';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { useUnits } from '../../hooks/useTicket';
import type { Practice } from './usePractice';

const BACK_STITCHES = 8;
/** Thread, bobbin, needle and power, and how far the run has come. */
export function RunSwitches({ practice: { press }, on }: { practice: Practice; on: OnPractice }) {
  const units = useUnits();
  const { job, state } = on;
  const stop = job.stops[state.stop];
  const finished = state.halt === 'finished' && !state.running;
  const result = finished ? practiceOutcome(job, state) : null;
  return (
    <Stack gap={8}>
      <Txt as="heading" level={2}>
        {stop ? `Colour ${state.stop + 1} of ${job.stops.length}: ${stop.name}` : 'All colours stitched'}
      </Txt>
      {stop ? (
        <Meter label="Stitched of this colour" value={state.done} most={stop.stitches} colour={stop.hex} />
      ) : null}
      <Txt testID="bobbin">
        {`Bobbin ${oneDigit(state.bobbinM)} m${state.bobbinChanges > 0 ? `, changed ${state.bobbinChanges === 1 ? 'once' : `${state.bobbinChanges} times`}` : ''}. ${Math.round(state.seconds / 60)} min stitched.`}
      </Txt>
      {result ? (
        <Callout tone={result.good ? 'moss' : 'madder'} grave>
          <Txt as="strong" testID="outcome">
            {say(result.text, units)}
          </Txt>
        </Callout>
      ) : null}
      <Row wrap>
        {stop && state.threaded !== state.stop ? (
          <Press title={`Thread ${stop.name}`} onPress={() => press({ press: 'thread', stop: state.stop })} />
        ) : null}
        <Press title="New bobbin" onPress={() => press({ press: 'new-bobbin' })} />
        <Press
          title={`Back ${BACK_STITCHES} stitches`}
          onPress={() => press({ press: 'back', stitches: BACK_STITCHES })}
        />
        <Press
          title={state.powered ? 'Power off' : 'Power on'}
          onPress={() => press({ press: 'power', on: !state.powered })}
        />
        {state.needleWhole ? null : (
          <Press title="New needle" onPress={() => press({ press: 'new-needle' })} />
        )}
      </Row>
      <Txt as="small" tone="madder">
        At the real machine: glasses on, hands away from a moving hoop, power off to change the needle. Its
        manual comes first.
      </Txt>
    </Stack>
  );
}
