import type { Stage } from '@zt/core/model/stages';
import { GUIDE, guideAt } from '@zt/core/table/example/example';
import { Callout } from '../components/ui/Callout';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Txt } from '../components/ui/Txt';
import { usePlan, useTicket } from '../hooks/useTicket';
import { STAGE_NAMES } from '../tape/Tape';
import { useExample, useIsExample } from './useExample';

function GuideStep({ stage, onStage }: { stage: Stage; onStage: (stage: Stage) => void }) {
  const ticket = useTicket();
  const plan = usePlan();
  const { end } = useExample();
  const at = guideAt(ticket, plan);
  const step = GUIDE[at];
  return (
    <Callout tone="tape" gap={2} role="note" aria-label="Guide">
      <Row align="middle" spread>
        <Txt as="label" tone="graphite">
          {step ? `Example, step ${at + 1} of ${GUIDE.length}` : 'Example'}
        </Txt>
        {step ? <Press kind="link" title="End the example" onPress={end} /> : null}
      </Row>
      <Txt as="strong" live testID="guide">
        {step?.text ??
          'That is all. A piece of your own ends in Log: one tap when it came out well. Nothing of the example is kept.'}
      </Txt>
      {step && step.stage !== stage ? (
        <Press
          kind="main"
          title={`Go to ${STAGE_NAMES[step.stage]}`}
          label={`Guide: go to ${STAGE_NAMES[step.stage]}`}
          onPress={() => onStage(step.stage)}
        />
      ) : null}
      {step ? null : <Press kind="main" title="End the example" onPress={end} />}
    </Callout>
  );
}

/** What to do next in the guided example, on the screen it is done on; nothing on a ticket of the shop. */
export function Guide(props: { stage: Stage; onStage: (stage: Stage) => void }) {
  return useIsExample() ? <GuideStep {...props} /> : null;
}
