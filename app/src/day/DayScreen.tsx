import { say } from '@zt/core/base/units/phrase';
import { clockDay, clockTime } from '@zt/core/business/day/calendar';
import { countPieces, type DayPlan, daysOf } from '@zt/core/business/day/dayPlan';
import { STAGE_OF_HANDS } from '@zt/core/business/day/now';
import { sayWorth } from '@zt/core/business/day/worth';
import { DaySheetSchema } from '@zt/core/model/day';
import { type Href, useRouter } from 'expo-router';
import { useState } from 'react';
import { AmongPlaces } from '../components/AmongPlaces';
import { UndoBar } from '../components/UndoBar';
import { Callout } from '../components/ui/Callout';
import { NotYet } from '../components/ui/NotYet';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Screen } from '../components/ui/Screen';
import { Stack } from '../components/ui/Stack';
import { Txt } from '../components/ui/Txt';
import { OffersOn } from '../shop/OffersOn';
import { SetAsideRows } from '../shop/SetAsideRows';
import { useShop } from '../shop/useShop';
import { DayNotes } from './DayNotes';
import { DaySteps } from './DaySteps';
import { DayTapes } from './DayTapes';
import { HandsKey } from './HandsKey';
import { Left } from './Left';
import { NowOnDay } from './NowOnDay';
import { PieceActs } from './PieceActs';
import { type DayInHand, useDayPlan } from './useDayPlan';

function subtitleOf({ plan, working }: DayInHand): string {
  if (!plan) return working ? 'Planning' : 'Hands and machines, hour by hour';
  if (plan.works.length === 0) return 'Nothing to be made';
  const { endMs, zone } = plan;
  const pieces = countPieces(plan);
  const until = endMs === null ? '' : `, done ${clockDay(endMs, zone)} at ${clockTime(endMs, zone)}`;
  const hoopings = plan.works.length > pieces ? ` in ${plan.works.length} hoopings` : '';
  return `${pieces} ${pieces === 1 ? 'piece' : 'pieces'}${hoopings}${until}`;
}

function Working({ day }: { day: DayInHand }) {
  const { working, failed, again } = day;
  if (failed)
    return (
      <Callout tone="madder" role="alert">
        <Txt>{failed}</Txt>
        <Row wrap>
          <Press title="Plan again" onPress={again} />
        </Row>
      </Callout>
    );
  if (!working) return null;
  const { progress, stop } = working;
  const far =
    progress === null
      ? 'Planning'
      : 'read' in progress
        ? `Planning: ticket ${progress.read + 1} of ${progress.of}`
        : `Planning: ${progress.looked.toLocaleString('en')} ways looked at`;
  return (
    <Row align="middle" wrap>
      <Txt as="small" tone="graphite" testID="planning">
        {far}
      </Txt>
      <Press kind="link" title="Stop" onPress={stop} />
    </Row>
  );
}

interface TapesProps {
  day: DayInHand;
  plan: DayPlan;
  chosen: number | null;
  onChoose: (work: number) => void;
}

/** The tapes of each day of a plan. */
function Tapes({ day, plan, chosen, onChoose }: TapesProps) {
  const { shelf } = useShop();
  const { sheet, change } = day.shared;
  return (
    <Stack gap={14}>
      <HandsKey />
      {daysOf(plan).map(({ day: iso, open }) => (
        <DayTapes
          key={iso}
          {...{ plan, open, nowMs: day.nowMs, chosen, onChoose }}
          pinned={sheet.pinned}
          onPinned={(pinned) => change((before) => ({ ...before, pinned }))}
          hoopName={(id) => shelf.hoops.find((hoop) => hoop.id === id)?.name ?? 'a hoop'}
        />
      ))}
    </Stack>
  );
}

/** The day, planned: who does what when, with one pair of hands, the shop's machines and hoops. */
export function DayScreen() {
  const router = useRouter();
  const day = useDayPlan();
  const { units } = useShop();
  const [putOff, setPutOff] = useState<string | null>(null);
  const [chosenId, setChosen] = useState<string | null>(null);
  const { plan, now, shared, again } = day;
  const { sheet, change, failed } = shared;
  const later = (ticketId: string) => {
    change((before) => ({ ...before, later: [...before.later, ticketId] }));
    setPutOff(ticketId);
  };
  const back = (ticketId: string) =>
    change((before) => ({ ...before, later: before.later.filter((id) => id !== ticketId) }));
  const at = plan?.works.findIndex(({ id }) => id === chosenId) ?? -1;
  const chosen = at >= 0 ? at : null;
  const choose = (work: number) => setChosen(plan?.works[work]?.id ?? null);
  const hands = now?.hands ?? null;
  const piece = now?.piece ?? null;
  return (
    <AmongPlaces>
      <Screen
        title="Day"
        subtitle={subtitleOf(day)}
        isHere={shared.isHere || failed}
        aside={plan ? <Press title="From now" label="Plan anew from now" onPress={again} /> : null}
        foot={
          plan && chosen !== null ? (
            <PieceActs {...{ plan, shared }} work={chosen} onLater={later} onClose={() => setChosen(null)} />
          ) : null
        }
      >
        <SetAsideRows place="day" />
        <OffersOn thing={sheet} schema={DaySheetSchema} onThing={(next) => change(() => next)} />
        {failed ? (
          <Txt tone="madder" live>
            What is to be made is with the shop’s computer, and it does not answer. Nothing is lost.
          </Txt>
        ) : null}
        {shared.isHere || failed ? null : <NotYet />}
        {putOff ? (
          <UndoBar
            text="It waits for another day."
            onPutBack={() => {
              back(putOff);
              setPutOff(null);
            }}
          />
        ) : null}
        <NowOnDay
          day={day}
          aside={
            hands && piece ? (
              <Press
                title="At the table"
                onPress={() =>
                  router.push(`/ticket/${piece.ticketId}/card/${STAGE_OF_HANDS[hands.what]}` as Href)
                }
              />
            ) : null
          }
        />
        <Working day={day} />
        {plan ? <DayNotes notes={plan.notes} units={units} /> : null}
        {plan && plan.hands.length > 0 ? (
          <>
            <Txt as="small" tone="graphite" testID="worth">
              {say(sayWorth(plan), units)}
            </Txt>
            <Tapes {...{ day, plan, chosen }} onChoose={choose} />
            <DaySteps plan={plan} units={units} onChoose={choose} />
          </>
        ) : null}
        {plan && plan.works.length === 0 && !day.working ? (
          <Callout tone="tape">
            <Txt>
              Nothing on the bench can be planned yet. A ticket is planned once it has its hoop and what is
              stitched.
            </Txt>
          </Callout>
        ) : null}
        <Left plan={plan} shared={shared} units={units} onBack={back} />
        {plan && plan.hands.length > 0 ? (
          <Txt as="small" tone="graphite">
            {say(
              [
                'Minutes of hands are the shop’s own numbers, the machine’s are from the stitches. When it is open is said in House rules.',
              ],
              units,
            )}
          </Txt>
        ) : null}
      </Screen>
    </AmongPlaces>
  );
}
