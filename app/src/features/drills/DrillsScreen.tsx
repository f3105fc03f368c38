import { say } from '@zt/core/base/units/phrase';
import type { DrillCard } from '@zt/core/model/drillCard';
import type { Ticket } from '@zt/core/model/ticket';
import {
  type DrillQuestion,
  drillQuestion,
  drillTopics,
  gradeDrill,
  topicName,
} from '@zt/core/records/drills/drills';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { FaultPicture } from '../../components/FaultPicture';
import { Callout } from '../../components/ui/Callout';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Screen } from '../../components/ui/Screen';
import { Stack } from '../../components/ui/Stack';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { announce } from '../../everyone/announce';
import { useBenchTickets } from '../../hooks/useBenchTickets';
import { useDrillCardsQuery, useKeepCardMutation } from '../../services/drillsApi';
import { useShop } from '../../shop/useShop';
import { afterAnswer, toAsk } from './schedule';

/** What was answered: right or wrong, with why. */
interface Answered {
  right: boolean;
  given: string;
}

/** One question; once it is answered, what is right and why, and when it comes back. */
function Question({
  question,
  onAnswer,
  card,
}: {
  question: DrillQuestion;
  onAnswer: (right: boolean) => void;
  card: DrillCard | undefined;
}) {
  const { units } = useShop();
  const [typed, setTyped] = useState('');
  const [said, setSaid] = useState<Answered | null>(null);
  const [unread, setUnread] = useState(false);
  const answer = (given: string) => {
    const right = gradeDrill(question, given, units);
    setUnread(right === null);
    if (right === null) return;
    setSaid({ right, given });
    onAnswer(right);
    announce(right ? 'Right.' : 'Not so.');
  };
  return (
    <Stack gap={12} role="group" aria-label="Question">
      {question.fault ? <FaultPicture id={question.fault} /> : null}
      <Txt as="heading" level={2}>
        {say(question.text, units)}
      </Txt>
      {question.options ? (
        <Stack gap={8}>
          {question.options.map(({ id, text }) => {
            const words = say(text, units);
            const mark = said ? (id === question.answer ? ' ✓' : id === said.given ? ' ✗' : '') : '';
            return (
              <Press key={id} title={`${words}${mark}`} disabled={said !== null} onPress={() => answer(id)} />
            );
          })}
        </Stack>
      ) : (
        <Row gap={8} align="end" wrap>
          <TextField
            grow
            label="Half of it"
            value={typed}
            onText={setTyped}
            onSubmit={() => answer(typed)}
            error={unread ? 'That is no length: 7 1/2, or 190 mm.' : null}
          />
          <Press
            title="That is it"
            disabled={said !== null || typed.trim() === ''}
            onPress={() => answer(typed)}
          />
        </Row>
      )}
      {said ? (
        <Callout tone={said.right ? 'moss' : 'madder'} gap={4} role="status">
          <Txt as="strong">{said.right ? 'Right.' : 'Not so.'}</Txt>
          <Txt>{say(question.explain, units)}</Txt>
          {card ? <Txt as="small">{`Asked again ${format(parseISO(card.due), 'd MMM, HH:mm')}.`}</Txt> : null}
        </Callout>
      ) : null}
    </Stack>
  );
}

const NO_JOBS: readonly Ticket[] = [];

/** Short drills, one question after another: what was wrong comes back, spaced over days. */
export function DrillsScreen() {
  const router = useRouter();
  const { shelf, rules, units } = useShop();
  const jobs = useBenchTickets() ?? NO_JOBS;
  const { data: cards = [], isSuccess, isError } = useDrillCardsQuery();
  const [keep] = useKeepCardMutation();
  const [round, setRound] = useState(0);
  const [asked, setAsked] = useState<{ question: DrillQuestion | null; round: number } | null>(null);
  const topics = useMemo(() => drillTopics({ shelf }), [shelf]);
  const waiting = toAsk(
    topics.map(({ key }) => key),
    cards,
    new Date(),
  );
  const byKey = new Map(cards.map((card) => [card.key, card]));
  // A question stays as it is until the next is asked for, whatever is learned of it meanwhile.
  const isAsked = asked?.round === round;
  const next = waiting.join();
  useEffect(() => {
    if (!isSuccess || isAsked) return;
    const seed = Date.now() % 1_000_000;
    const question =
      next
        .split(',')
        .map((key) => topics.find((topic) => topic.key === key))
        .map((topic) => (topic ? drillQuestion(topic, seed + round, { shelf, rules, units, jobs }) : null))
        .find((made) => made !== null) ?? null;
    setAsked({ question, round });
  }, [isSuccess, isAsked, next, round, topics, shelf, rules, units, jobs]);
  const question = isAsked ? asked.question : null;
  const known = topics.filter(({ key }) => byKey.has(key));
  return (
    <Screen
      title="Drills"
      subtitle={isSuccess ? `${waiting.length} to ask today` : ''}
      aside={<Press title="Back" onPress={() => router.replace('/logbook')} />}
    >
      {isError ? (
        <Txt tone="madder">The shop’s computer keeps what was learned, and it cannot be reached.</Txt>
      ) : null}
      {question ? (
        <>
          <Question
            key={round}
            question={question}
            card={byKey.get(question.topic.key)}
            onAnswer={(right) =>
              void keep(afterAnswer(question.topic.key, byKey.get(question.topic.key), right, new Date()))
            }
          />
          <Row>
            <Press kind="main" title="Next" onPress={() => setRound(round + 1)} />
          </Row>
        </>
      ) : null}
      {isAsked && !question ? (
        <Stack gap={10}>
          <Txt as="heading" level={2}>
            Nothing more today
          </Txt>
          <Txt>What was wrong comes back in a while, the rest over the next days.</Txt>
          <Row>
            <Press title="Look again" onPress={() => setRound(round + 1)} />
          </Row>
        </Stack>
      ) : null}
      {known.length > 0 ? (
        <Disclosure title={`What you know: ${known.length} of ${topics.length} begun`} label="What you know">
          <Stack gap={6}>
            {known.map((topic) => {
              const card = byKey.get(topic.key);
              return card ? (
                <Txt key={topic.key} as="small">
                  {`${topicName(topic, shelf)}: ${card.right} of ${card.asked} right, again ${format(parseISO(card.due), 'd MMM')}`}
                </Txt>
              ) : null;
            })}
          </Stack>
        </Disclosure>
      ) : null}
    </Screen>
  );
}
