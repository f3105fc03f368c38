import { say } from '@zt/core/base/units/phrase';
import { FAULTS } from '@zt/core/model/faults';
import type { Way } from '@zt/core/model/way';
import type { Advice, Decides, StackAdvice, ToldChance } from '@zt/core/records/evidence/advice';
import type { OneThing } from '@zt/core/records/evidence/trial';
import { wayFrom } from '@zt/core/stages/layers/ways';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { type Href, Link, useRouter } from 'expo-router';
import isEqual from 'fast-deep-equal';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { FindingNote } from '../components/FindingNote';
import { UndoBar } from '../components/UndoBar';
import { Disclosure } from '../components/ui/Disclosure';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Stack } from '../components/ui/Stack';
import { Txt } from '../components/ui/Txt';
import { useIsExample } from '../example/useExample';
import { newId } from '../hooks/newId';
import { today } from '../hooks/today';
import { useAtRest } from '../hooks/useAtRest';
import { usePlan, useRules, useTicket, useTicketActs, useUnits } from '../hooks/useTicket';
import { useAdviceQuery } from '../services/logbookApi';
import { useShop } from '../shop/useShop';
import { ticketQueued } from '../store/editor';
import { useAppDispatch } from '../store/store';
import { usePalette } from '../theme/palette';

const faultName = (id: string): string => (FAULTS.find((f) => f.id === id)?.name ?? 'anything').toLowerCase();
const chanceInWords = ({ percent, low, high }: ToldChance): string =>
  `${Math.round(percent)} % (${Math.round(low)} to ${Math.round(high)})`;

/** A chance on a line of a hundred: where it is, between which it lies, and a notch where the rule has it. */
function ChanceLine({ chance, worse }: { chance: ToldChance; worse: boolean }) {
  const p = usePalette();
  const at = (percent: number) => `${Math.min(100, Math.max(0, percent))}%` as const;
  return (
    <View aria-hidden style={{ height: 18, justifyContent: 'center' }}>
      <View style={{ height: 1, backgroundColor: p.hairline }} />
      <View
        style={{
          position: 'absolute',
          left: at(chance.low),
          width: at(chance.high - chance.low),
          height: 6,
          borderRadius: 3,
          backgroundColor: worse ? p.madder : p.moss,
          opacity: 0.45,
        }}
      />
      <View
        style={{
          position: 'absolute',
          left: at(chance.believed),
          width: 2,
          height: 16,
          backgroundColor: p.ink,
        }}
      />
      <View
        style={{
          position: 'absolute',
          left: at(chance.percent),
          marginLeft: -5,
          width: 10,
          height: 10,
          borderRadius: 5,
          backgroundColor: worse ? p.madder : p.moss,
        }}
      />
    </View>
  );
}

interface StackRowProps {
  stack: StackAdvice;
  /** The planned one, beside which it is seen. */
  than: ToldChance;
  onTake: (() => void) | null;
  onTry: (() => void) | null;
}

/** How many pieces would decide between a stack and the planned one. */
function decidesInWords({ clean, bad }: Decides): string {
  if (clean === null) return 'no dozen clean ones would decide for it';
  const against = bad === null ? '' : `, ${bad} bad against it`;
  return `${clean} clean would decide for it${against}`;
}

function StackRow({ stack, than, onTake, onTry }: StackRowProps) {
  const spoke =
    stack.pieces > 0
      ? `${stack.pieces} on this cloth, ${stack.ofKind} on its kind`
      : stack.ofKind > 0
        ? `${stack.ofKind} on cloth of its kind`
        : 'None logged: the rule alone';
  return (
    <Stack gap={2}>
      <Row align="middle" gap={8}>
        <Stack grow>
          <Txt as="strong">{`${stack.name}${stack.planned ? ', as planned' : ''}`}</Txt>
        </Stack>
        {onTake ? <Press kind="link" title="take it" label={`Take ${stack.name}`} onPress={onTake} /> : null}
        {onTry ? (
          <Press kind="link" title="try it" label={`Try ${stack.name} on a swatch`} onPress={onTry} />
        ) : null}
      </Row>
      <ChanceLine chance={stack.any} worse={stack.any.percent > than.percent} />
      <Txt as="small">
        {`${chanceInWords(stack.any)} go wrong: ${stack.faults
          .filter(({ percent }) => percent >= 1)
          .map((fault) => `${faultName(fault.trouble)} ${Math.round(fault.percent)} %`)
          .join(', ')}. ${spoke}${stack.planned ? '' : `; ${decidesInWords(stack.decides)}`}.`}
      </Txt>
    </Stack>
  );
}

/** So many pieces stand beside a finding. */
const MOST_BESIDE = 3;

/** Past pieces with how they came out, each leading to its entry. */
function NearPieces({ near }: Pick<Advice, 'near'>) {
  return (
    <Stack>
      {near.map((piece) => (
        <Link key={piece.id + JSON.stringify(piece.faults)} href={`/logbook/${piece.id}` as Href} asChild>
          <Pressable style={{ minHeight: 44, justifyContent: 'center' }}>
            <Txt as="label">{`${format(parseISO(piece.loggedAt), 'd MMM yyyy')}  ${piece.name || 'a piece'}: ${
              Object.keys(piece.faults).length === 0
                ? 'clean'
                : Object.keys(piece.faults).map(faultName).join(', ')
            }`}</Txt>
            <Txt as="small" tone="graphite">
              {piece.differs.length === 0 ? 'alike in all' : `differs in ${piece.differs.join(', ')}`}
            </Txt>
          </Pressable>
        </Link>
      ))}
    </Stack>
  );
}

/** What past pieces say of the open ticket, beside what the rules say: under its layers, or under its hoop. */
export function PastPieces({ on }: { on: 'layers' | 'hoop' }) {
  const units = useUnits();
  const rules = useRules();
  const { setRules, rulesSave } = useShop();
  const { change, take } = useTicketActs();
  const asked = useAtRest();
  const ticket = useTicket();
  const plan = usePlan();
  const router = useRouter();
  const dispatch = useAppDispatch();
  const isExample = useIsExample();
  const { currentData: advice, isError } = useAdviceQuery(asked, { skip: isExample });
  /** The way that was just made of what the pieces say. */
  const [kept, setKept] = useState<Way | null>(null);
  if (isError)
    return (
      <Txt as="small" tone="graphite">
        What past pieces say is counted at the shop’s computer, and it cannot be reached.
      </Txt>
    );
  if (!advice) return null;
  const { text, near, stacks, methods, against } = advice;
  const name = against ? (stacks.find(({ sheets }) => isEqual(sheets, against.sheets))?.name ?? '') : '';
  const keepWay = () => {
    if (!against) return;
    const way = wayFrom(
      { id: newId(), name: name.slice(0, 80), why: 'our own pieces come out better so', since: today() },
      { sheets: against.sheets, choices: {} },
      against.applies,
    );
    setRules({ ...rules, ways: [way, ...rules.ways] });
    setKept(way);
  };
  const planned = stacks.find((stack) => stack.planned);
  /** A swatch on which one thing is tried by itself. */
  const begin = async (thing: OneThing, decides: Decides) => {
    const { trialOf } = await import('@zt/core/records/evidence/trial');
    const trial = trialOf({ ticket, plan }, thing, { id: newId(), swatch: true, decides });
    if (!trial) return;
    dispatch(ticketQueued({ ticket: trial, base: trial, rev: 0 }));
    router.push(`/ticket/${trial.id}/hoop`);
  };
  if (!text && near.length === 0 && stacks.every(({ ofKind }) => ofKind === 0)) return null;
  return (
    <Stack gap={6} role="group" aria-label="What past pieces say">
      {against && on === 'layers' ? (
        <>
          <FindingNote finding={against.finding} units={units} onMend={take} />
          <NearPieces
            near={near.filter(({ faults }) => Object.keys(faults).length > 0).slice(0, MOST_BESIDE)}
          />
          <Row>
            <Press title="Make it a way of ours" onPress={keepWay} />
          </Row>
        </>
      ) : null}
      {kept && rulesSave === 'saved' ? (
        <UndoBar
          text={`Our ${kept.name} way is followed wherever it applies; House rules switch it off.`}
          onPutBack={() => {
            setRules({ ...rules, ways: rules.ways.filter(({ id }) => id !== kept.id) });
            setKept(null);
          }}
        />
      ) : null}
      <Disclosure
        title={text ? say(text, units) : 'What past pieces say'}
        label={`Past pieces and chances${text ? `: ${say(text, units)}` : ''}`}
      >
        <Stack gap={10}>
          {on === 'layers'
            ? stacks.map((stack) => (
                <StackRow
                  key={stack.name}
                  stack={stack}
                  than={planned?.any ?? stack.any}
                  onTry={
                    stack.planned
                      ? null
                      : () =>
                          void begin(
                            {
                              tried: 'support',
                              sheets: stack.sheets,
                              was: planned?.name ?? '',
                              is: stack.name,
                            },
                            stack.decides,
                          )
                  }
                  onTake={
                    stack.planned
                      ? null
                      : () =>
                          change({
                            stage: 'layers',
                            set: { support: { sheets: stack.sheets, why: 'our own pieces' } },
                          })
                  }
                />
              ))
            : methods.map(({ method, planned: isPlanned, any, pieces, decides }) => (
                <Stack key={method} gap={2}>
                  <Row align="middle" gap={8}>
                    <Stack grow>
                      <Txt as="strong">{`${method}${isPlanned ? ', as planned' : ''}`}</Txt>
                    </Stack>
                    {isPlanned ? null : (
                      <Press
                        kind="link"
                        title="try it"
                        label={`Try it ${method} on a swatch`}
                        onPress={() =>
                          void begin(
                            {
                              tried: 'method',
                              method,
                              was: methods.find((other) => other.planned)?.method ?? '',
                              is: method,
                            },
                            decides,
                          )
                        }
                      />
                    )}
                  </Row>
                  <ChanceLine chance={any} worse={methods.some((other) => other.any.percent < any.percent)} />
                  <Txt as="small">{`${chanceInWords(any)} go wrong; ${pieces} on cloth of its kind${isPlanned ? '' : `; ${decidesInWords(decides)}`}.`}</Txt>
                </Stack>
              ))}
          <Txt as="small" tone="graphite">
            Of a hundred pieces, how many go wrong in any way, over all who work here. The bar is between
            which figures the truth lies nine times of ten; the notch is what the rules alone believe.
          </Txt>
          <NearPieces near={near} />
        </Stack>
      </Disclosure>
    </Stack>
  );
}
