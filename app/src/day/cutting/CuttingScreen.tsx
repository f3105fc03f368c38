import type { DisplayUnits } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import type { BenchCut } from '@zt/core/business/cutPlan/planCutting';
import {
  sayBeyond,
  sayBlank,
  sayLeft,
  sayMissing,
  saySaved,
  saySpares,
} from '@zt/core/business/cutPlan/sayCuts';
import { Link, useRouter } from 'expo-router';
import { AmongPlaces } from '../../components/AmongPlaces';
import { Callout } from '../../components/ui/Callout';
import { FileLink } from '../../components/ui/FileLink';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Screen } from '../../components/ui/Screen';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { useShop } from '../../shop/useShop';
import { useDaySheet } from '../useDaySheet';
import { SourceDrawing } from './SourceDrawing';
import { type BenchCutting, useBenchCut } from './useBenchCut';

/** Bare pieces that are still to be bought, by size, with the spares that the logbook asks for. */
function Blanks({ plan: { blanks, spoilt }, units }: PartProps) {
  if (blanks.length === 0) return null;
  return (
    <Stack gap={4}>
      <Txt as="heading" level={2}>
        Bare pieces to buy
      </Txt>
      {blanks.map((line) => (
        <Txt key={`${line.ticketId} ${line.size}`} testID="blank-to-buy">
          {say(sayBlank(line), units)}
        </Txt>
      ))}
      <Txt as="small" tone="graphite">
        {say(saySpares(spoilt), units)}
      </Txt>
    </Stack>
  );
}

interface PartProps {
  plan: BenchCut;
  units: DisplayUnits;
}

function Missing({ plan, units }: PartProps) {
  if (plan.missing.length === 0) return null;
  return (
    <Callout tone="madder" role="note">
      <Txt as="strong">Nothing on the shelf is large enough, or long enough, for</Txt>
      {sayMissing(plan.missing).map((words) => {
        const text = say(words, units);
        return (
          <Txt key={text} as="small">
            {text}
          </Txt>
        );
      })}
      <Link href="/shelf">
        <Txt as="label" tone="chalk">
          The shelf, with what to buy
        </Txt>
      </Link>
    </Callout>
  );
}

/** What is left of everything that is cut from, once it is. */
function Afterwards({ plan, units }: PartProps) {
  return (
    <Stack gap={2}>
      <Txt as="heading" level={2}>
        What is left afterwards
      </Txt>
      {sayLeft(plan).map((words) => {
        const text = say(words, units);
        return (
          <Txt key={text} testID="left-afterwards">
            {text}
          </Txt>
        );
      })}
    </Stack>
  );
}

function Planned({ cutting, units }: { cutting: BenchCutting; units: DisplayUnits }) {
  if (cutting.state === 'planning')
    return (
      <Row align="middle" wrap>
        <Txt as="small" tone="graphite" testID="cutting">
          {cutting.of === 0
            ? 'Laying the sheets'
            : `Laying the sheets: ticket ${cutting.read + 1} of ${cutting.of}`}
        </Txt>
        <Press kind="link" title="Stop" onPress={cutting.stop} />
      </Row>
    );
  if (cutting.state === 'failed')
    return (
      <Callout tone="madder" role="alert">
        <Txt>{cutting.message}</Txt>
        <Row wrap>
          <Press title="Lay them again" onPress={cutting.again} />
        </Row>
      </Callout>
    );
  const { plan } = cutting;
  const beyond = sayBeyond(plan);
  if (plan.sources.length === 0 && plan.missing.length === 0)
    return (
      <Callout tone="tape">
        <Txt>Nothing is to be cut. A ticket’s sheets are known once it has its layers and its hoop.</Txt>
      </Callout>
    );
  return (
    <>
      <Missing plan={plan} units={units} />
      {beyond ? (
        <Callout tone="graphite" role="note">
          <Txt>{say(beyond, units)}</Txt>
        </Callout>
      ) : null}
      {plan.sources.length > 0 ? (
        <>
          <Txt testID="cut-saved">{say(saySaved(plan), units)}</Txt>
          <Row wrap>
            <FileLink name="Cut plan for A4" href="/api/day/cutting.pdf?paper=a4" />
            <FileLink name="For A5" href="/api/day/cutting.pdf?paper=a5" />
          </Row>
        </>
      ) : null}
      {plan.sources.map((source) => (
        <SourceDrawing
          key={`${source.material.id} ${source.placed[0]?.id}`}
          {...{ source, pieces: plan.pieces, units }}
        />
      ))}
      {plan.sources.length > 0 ? <Afterwards plan={plan} units={units} /> : null}
    </>
  );
}

/** The sheets of the whole bench laid out over offcuts and rolls, and the bare pieces to buy. */
export function CuttingScreen() {
  const router = useRouter();
  const shared = useDaySheet();
  const { units } = useShop();
  const { tickets, failed, more } = shared;
  const cutting = useBenchCut(shared);
  const pieces = cutting.state === 'planned' ? cutting.plan.pieces : [];
  const served = new Set(pieces.map(({ ticketId }) => ticketId)).size;
  return (
    <AmongPlaces>
      <Screen
        title="Cut and buy"
        subtitle={
          pieces.length > 0 ? `${pieces.length} sheets for ${served} tickets` : 'Sheets for the whole bench'
        }
        aside={<Press title="Back" onPress={() => router.replace('/shelf')} />}
      >
        {failed ? (
          <Txt tone="madder" live>
            What is to be made is with the shop’s computer, and it does not answer. Nothing is lost.
          </Txt>
        ) : (
          <Planned cutting={cutting} units={units} />
        )}
        {cutting.state === 'planned' ? <Blanks plan={cutting.plan} units={units} /> : null}
        {cutting.state === 'planned' ? (
          <Row wrap>
            <FileLink href="/api/day/shopping.csv" name="Shopping list as a table (CSV)" />
          </Row>
        ) : null}
        {more.tickets > 0 ? (
          <Txt as="small" tone="graphite">
            {`Laid out for the ${tickets.length} tickets that are due first; ${more.tickets} come after.`}
          </Txt>
        ) : null}
      </Screen>
    </AmongPlaces>
  );
}
