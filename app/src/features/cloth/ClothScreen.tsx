import { formatLength } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import type { CutSheet } from '@zt/core/files/cutFile/cutSheet';
import { titleOf } from '@zt/core/planner/titleOf';
import { clothSteps } from '@zt/core/table/deck/jobSteps';
import { useRouter } from 'expo-router';
import { useWindowDimensions } from 'react-native';
import { Callout } from '../../components/ui/Callout';
import { Meter } from '../../components/ui/Meter';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Screen } from '../../components/ui/Screen';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { UnitsToggle } from '../../components/ui/UnitsToggle';
import { handOver } from '../../hooks/handOver';
import { usePlan, useRules, useTicket, useUnits } from '../../hooks/useTicket';
import type { Shop } from '../../shop/useShop';
import { WithTicket } from '../../stages/WithTicket';
import { usePalette } from '../../theme/palette';
import { NestPicture } from './NestPicture';
import { useCutSheets } from './useCutSheets';

const PADDING_PX = 32;
const WIDEST_PX = 620;

const fileNameOf = (name: string): string => name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();

/** One cloth: how its pieces lie, how much of it they take, and its files. */
function Cloth({ sheet, index, called }: { sheet: CutSheet; index: number; called: string }) {
  const units = useUnits();
  const router = useRouter();
  const { id } = useTicket('id');
  const { width } = useWindowDimensions();
  const { cloth, nested, remarks } = sheet;
  const name = cloth.name || 'cloth';
  const file = `${called}, ${name}`;
  const needed = `${formatLength(nested.widthMm, units)} × ${formatLength(nested.lengthMm, units)}`;
  return (
    <Stack gap={10}>
      <Txt as="heading" level={2}>{`${name}: ${needed}`}</Txt>
      <Txt as="small" tone="graphite" testID="cloth-taken">
        {[
          `${nested.laid.length} ${nested.laid.length === 1 ? 'piece' : 'pieces'}`,
          cloth.alongGrain ? 'along the grain' : 'turned any way',
          `from a strip ${formatLength(cloth.stripMm, units)} wide`,
          `${Math.round(nested.waste * 100)} % falls to waste`,
          cloth.fused ? 'a mirror: cut with the web upwards' : 'right side up',
        ].join(' · ')}
      </Txt>
      {remarks.map((remark) => (
        <Callout key={say(remark, units)} tone="madder" role="status">
          <Txt as="small">{say(remark, units)}</Txt>
        </Callout>
      ))}
      {nested.laid.length > 0 ? (
        <>
          <NestPicture sheet={sheet} most={Math.min(WIDEST_PX, width - PADDING_PX)} />
          <Row wrap gap={8}>
            <Press
              kind="main"
              title="Put on the cutter"
              label={`Put the ${name} on the cutter`}
              onPress={() => router.push(`/ticket/${id}/cutter?cloth=${index}`)}
            />
            <Press
              title="Cut file"
              label={`Cut file of the ${name}`}
              onPress={async () => {
                const { writeCutFile } = await import('../../files/svgFiles');
                handOver(writeCutFile(sheet, file), 'image/svg+xml', `${fileNameOf(file)}.cut.svg`);
              }}
            />
            <Press
              title="Paper patterns"
              label={`Paper patterns of the ${name}`}
              onPress={() => router.push(`/ticket/${id}/print?what=pattern`)}
            />
          </Row>
        </>
      ) : null}
    </Stack>
  );
}

/** The colours of the cloth, and what hands do between them: the steps as they come at the table. */
function InTheHoop() {
  const plan = usePlan();
  const rules = useRules();
  const units = useUnits();
  const steps = clothSteps(plan, rules);
  if (steps.length === 0) return null;
  return (
    <Stack gap={4}>
      <Txt as="heading" level={2}>
        In the hoop
      </Txt>
      {steps.map(({ step, isByHand }) =>
        isByHand ? (
          <Stack key={step.id} indent>
            <Txt as="strong">{say(step.text, units)}</Txt>
            {step.hint ? (
              <Txt as="small" tone="graphite">
                {say(step.hint, units)}
              </Txt>
            ) : null}
          </Stack>
        ) : (
          <Txt key={step.id}>{say(step.text, units)}</Txt>
        ),
      )}
    </Stack>
  );
}

function Cloths({ shop }: { shop: Shop }) {
  const units = useUnits();
  const ticket = useTicket();
  const router = useRouter();
  const cutting = useCutSheets();
  const p = usePalette();
  const called = ticket.design.name || ticket.name || 'design';
  const back = () => (router.canGoBack() ? router.back() : router.replace(`/ticket/${ticket.id}/design`));
  return (
    <Screen
      title={`Cloth to cut: ${titleOf(ticket)}`}
      aside={
        <Row gap={8}>
          <UnitsToggle units={units} onUnits={shop.setUnits} />
          <Press title="Back" onPress={back} />
        </Row>
      }
    >
      {cutting.state === 'nothing' ? (
        <Txt>No shape of this design is of cloth. Mark one in Design, under Appliqué.</Txt>
      ) : null}
      {cutting.state === 'laying' ? (
        <Row align="middle" gap={10}>
          <Stack grow>
            <Txt as="small" live>
              {cutting.progress
                ? `Laying the pieces: ${cutting.progress.done} of ${cutting.progress.of}`
                : 'Laying the pieces on their cloth'}
            </Txt>
            <Meter
              value={cutting.progress?.done ?? 0}
              most={cutting.progress?.of ?? 1}
              colour={p.tape}
              label="Pieces laid"
            />
          </Stack>
          <Press title="Stop" onPress={cutting.stop} />
        </Row>
      ) : null}
      {cutting.state === 'failed' ? (
        <Callout tone="madder" grave role="alert">
          <Txt>{cutting.message}</Txt>
          <Press title="Lay them again" onPress={cutting.again} />
        </Callout>
      ) : null}
      {cutting.state === 'laid'
        ? cutting.sheets.map((sheet, i) => <Cloth key={i} sheet={sheet} index={i} called={called} />)
        : null}
      <InTheHoop />
    </Screen>
  );
}

/** How the cloth of a ticket's appliqué is cut: laid out, in figures, as files. */
export const ClothScreen = ({ id }: { id: string }) => (
  <WithTicket id={id}>{(shop) => <Cloths shop={shop} />}</WithTicket>
);
