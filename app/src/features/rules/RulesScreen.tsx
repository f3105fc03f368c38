import type { HowFar } from '@zt/core/base/inSteps';
import { minorDigits } from '@zt/core/base/units/money';
import { say } from '@zt/core/base/units/phrase';
import type { HouseNumber } from '@zt/core/catalogue/houseNumber';
import { QUESTIONS, schoolsOf } from '@zt/core/catalogue/schools';
import { type HouseRules, HouseRulesSchema, readerOf, schoolFor } from '@zt/core/model/houseRules';
import { QUESTION_IDS } from '@zt/core/model/schoolIds';
import { BELIEFS } from '@zt/core/stages/layers/beliefs';
import { HOUSE_NUMBERS } from '@zt/core/table/houseRules/numbers';
import { answersTo, textOfNumber } from '@zt/core/table/houseRules/search';
import type { ChangedTicket } from '@zt/core/table/houseRules/whatChanges';
import { Link } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { AmongPlaces } from '../../components/AmongPlaces';
import { HowFarWord } from '../../components/HowFarWord';
import { SaveWord } from '../../components/SaveWord';
import { Callout } from '../../components/ui/Callout';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { FieldsContext } from '../../components/ui/fields';
import { LengthField } from '../../components/ui/LengthField';
import { NumberField } from '../../components/ui/NumberField';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Screen } from '../../components/ui/Screen';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { useThing } from '../../hooks/useThing';
import { useOwnDeviceQuery } from '../../services/devicesApi';
import { History } from '../../shop/History';
import { OffersOn } from '../../shop/OffersOn';
import { SecureSteps, useSecurePage } from '../../shop/SecureSteps';
import { SetAsideRows } from '../../shop/SetAsideRows';
import { useShop } from '../../shop/useShop';
import { AllData } from './AllData';
import { Backups } from './Backups';
import { Beliefs } from './Beliefs';
import { Devices } from './Devices';
import { Looks } from './Looks';
import { OpeningHours } from './OpeningHours';
import { RuleRow } from './RuleRow';
import { useBenchPlans } from './useBenchPlans';
import { Ways } from './Ways';

const UNIT_WORDS = {
  mm: '',
  deg: '°',
  percent: '%',
  count: '',
  seconds: 's',
  minutes: 'min',
  hours: 'h',
  metres: 'm',
  money: '',
  'per-mm2': 'per mm²',
} as const;

function NumberRow({
  number,
  rules,
  onRules,
}: {
  number: HouseNumber;
  rules: HouseRules;
  onRules: (rules: HouseRules) => void;
}) {
  const { id } = number;
  const at = `numbers.${id}`;
  const own = rules.numbers[id];
  const value = own ?? number.value;
  const coins = number.unit === 'money' ? 10 ** minorDigits(rules.currency) : 1;
  const set = (next: number) => onRules({ ...rules, numbers: { ...rules.numbers, [id]: next } });
  const reset = () =>
    onRules({
      ...rules,
      numbers: Object.fromEntries(Object.entries(rules.numbers).filter(([k]) => k !== id)),
    });
  return (
    <RuleRow>
      {number.unit === 'mm' ? (
        <LengthField
          label={number.name}
          at={at}
          mm={value}
          onLength={set}
          stepper={false}
          hint={number.reason}
        />
      ) : (
        <NumberField
          label={`${number.name} ${number.unit === 'money' ? rules.currency : UNIT_WORDS[number.unit]}`.trim()}
          at={at}
          value={value / coins}
          onNumber={(next) => set(number.unit === 'money' ? Math.round(next * coins) : next)}
          hint={number.reason}
        />
      )}
      {own !== undefined && own !== number.value ? (
        <Press
          kind="link"
          title="back to the usual figure"
          label={`${number.name}: back to the usual figure`}
          onPress={reset}
        />
      ) : null}
    </RuleRow>
  );
}

/** What the school just chosen changes on the bench. */
function Changed({ tickets, howFar }: { tickets: readonly ChangedTicket[] | null; howFar: HowFar | null }) {
  const { units } = useShop();
  if (!tickets) return <HowFarWord howFar={howFar} />;
  const count = tickets.length;
  return (
    <Callout tone="chalk" gap={4} role="status">
      <Txt as="strong" testID="changed">
        {count === 0
          ? 'No ticket on the bench changes.'
          : `${count} ${count === 1 ? 'ticket changes' : 'tickets change'}:`}
      </Txt>
      {tickets.map(({ id, name, changes }) => (
        <Txt key={id} as="small">{`${name}: ${changes.map((c) => say(c, units)).join('; ')}`}</Txt>
      ))}
    </Callout>
  );
}

/** On a phone that speaks plain http: how it comes to be secure. */
function SecurePart() {
  const page = useSecurePage();
  return page ? (
    <Disclosure title="Keep the screen awake and the app at hand">
      <SecureSteps page={page} />
    </Disclosure>
  ) : null;
}

/** What only an owner's device shows: backups, all data, and who else may work here. */
function OwnersPart() {
  const { data } = useOwnDeviceQuery();
  if (data?.role !== 'owner') return null;
  return (
    <>
      <Disclosure title="Devices">
        <Devices />
      </Disclosure>
      <Disclosure title="Backups">
        <Backups />
      </Disclosure>
      <Disclosure title="All data as a document">
        <AllData />
      </Disclosure>
    </>
  );
}

/** What this shop believes: a school to each question, and its own numbers. */
export function RulesScreen() {
  const { rules, rulesSave, setRules } = useShop();
  const { fields, put, refused } = useThing({
    thing: rules,
    reader: readerOf(rules),
    schema: HouseRulesSchema,
    onThing: setRules,
  });
  const { decided, changed, follow } = useBenchPlans();
  const [sought, setSought] = useState('');
  const numbers = HOUSE_NUMBERS.filter((number) => answersTo(textOfNumber(number), sought));
  const denominator = rules.units.system === 'in' ? String(rules.units.denominator) : 'mm';
  return (
    <AmongPlaces>
      <Screen
        title="House rules"
        subtitle="Where practitioners disagree, your shop decides"
        aside={<SaveWord state={rulesSave} />}
      >
        <SetAsideRows place="rules" />
        <OffersOn thing={rules} schema={HouseRulesSchema} onThing={put} />
        <Choice
          label="Lengths shown in"
          options={[
            { id: '16', name: 'inches to 1/16' },
            { id: '8', name: 'inches to 1/8' },
            { id: 'mm', name: 'millimetres' },
          ]}
          chosen={denominator}
          onChoose={(id) =>
            setRules({
              ...rules,
              units: id === 'mm' ? { system: 'mm' } : { system: 'in', denominator: id === '8' ? 8 : 16 },
            })
          }
        />
        <Looks />
        <Row gap={16} columns>
          {QUESTION_IDS.map((question) => (
            <View key={question} style={{ flexBasis: 320, flexGrow: 1, flexShrink: 1 }}>
              <Choice
                label={QUESTIONS[question].question}
                small
                options={schoolsOf(question).map(([id, name]) => ({ id, name }))}
                chosen={schoolFor(rules, question) as string}
                onChoose={(id) =>
                  follow(question, { ...rules, schools: { ...rules.schools, [question]: id } })
                }
              />
              {changed?.question === question ? <Changed {...changed} /> : null}
            </View>
          ))}
        </Row>
        <Ways rules={rules} decided={decided} onRules={(after) => follow('ways', after)} />
        {changed?.question === 'ways' ? <Changed {...changed} /> : null}
        <Disclosure title={`Layers, needle and thread: ${BELIEFS.length} rules`}>
          <Beliefs rules={rules} decided={decided} />
        </Disclosure>
        {refused ? (
          <Txt tone="madder" live>
            {refused}
          </Txt>
        ) : null}
        <FieldsContext.Provider value={fields}>
          <Disclosure title="Opening hours">
            <OpeningHours rules={rules} onRules={put} />
          </Disclosure>
          <Disclosure title="Money, and the shop’s heading">
            <WordsField
              label="Currency, by its three letters"
              at="currency"
              value={rules.currency}
              onText={(currency) => put({ ...rules, currency })}
            />
            <WordsField
              label="Heading of quotes and receipts"
              at="heading"
              value={rules.heading}
              onText={(heading) => put({ ...rules, heading })}
              multiline
            />
          </Disclosure>
        </FieldsContext.Provider>
        <Disclosure title={`Numbers: ${HOUSE_NUMBERS.length}, each with its reason`}>
          <TextField label="Find a number" value={sought} onText={setSought} />
          <FieldsContext.Provider value={fields}>
            <Row gap={0} columns>
              {numbers.map((number) => (
                <NumberRow key={number.id} number={number} rules={rules} onRules={put} />
              ))}
            </Row>
          </FieldsContext.Provider>
        </Disclosure>
        <Link href="/keys" style={{ minHeight: 44 }}>
          <Txt as="label" tone="chalk">
            Keys of the keyboard
          </Txt>
        </Link>
        <History noun="rules" id="shop" schema={HouseRulesSchema} now={rules} onBringBack={put} />
        <SecurePart />
        <OwnersPart />
        <Txt as="small" tone="graphite">
          The product advises; it is not a safety authority. Follow your machine’s manual and the rules where
          you live.
        </Txt>
      </Screen>
    </AmongPlaces>
  );
}
