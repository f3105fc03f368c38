import type { DisplayUnits } from '@zt/core/base/units/length';
import { mm, say } from '@zt/core/base/units/phrase';
import { BOBBINS, NEEDLES, sheetsInWords, TOPPERS } from '@zt/core/catalogue/materials';
import type { KeptEntry } from '@zt/core/model/api';
import { FAULTS, SEVERITY_WORDS } from '@zt/core/model/faults';
import type { FrozenPlan } from '@zt/core/model/frozenPlan';
import type { LogEntry } from '@zt/core/model/logEntry';
import { piecesOf } from '@zt/core/model/pieces';
import type { Sheet } from '@zt/core/model/ticket/layers';
import { offBy } from '@zt/core/model/ticket/log';
import { titleOf } from '@zt/core/planner/titleOf';
import { drawnFrom } from '@zt/core/records/logbook/frozenPlan';
import { minutesOf } from '@zt/core/records/logbook/ticked';
import { calledName } from '@zt/core/stages/design/names/onTable';
import { sidesInWords } from '@zt/core/stages/hoop/sides';
import { sheetsOfToday } from '@zt/core/stages/layers/keptSheets';
import { offInWords } from '@zt/core/stages/log/planLog';
import { trialAnswer, trialInWords } from '@zt/core/stages/log/trial';
import { MARK_NAMES } from '@zt/core/stages/mount/hoopAgain';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { StepList } from '../../components/StepList';
import { FileLink } from '../../components/ui/FileLink';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Screen } from '../../components/ui/Screen';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { Thumbnail } from '../../sheet/Thumbnail';
import { Photos } from '../../shop/Photos';
import { Took } from '../../shop/Took';
import { useEntry } from '../../shop/useEntry';
import { useShop } from '../../shop/useShop';
import { usePalette } from '../../theme/palette';
import { MakeAgain } from './MakeAgain';

const MM = { system: 'mm' } as const;

const nameOf = (choices: Record<string, { name: string }>, id: string | null) =>
  id === null ? null : (choices[id]?.name ?? id);
const sheetNames = (sheets: readonly Sheet[] | null) => sheets && sheetsInWords(sheets);

/** What was planned of design, threads and keys, and what was read off the hoop: told as it was then. */
function factLines(
  { ticket, log }: LogEntry,
  { design, mount, stitch }: FrozenPlan,
  units: DisplayUnits,
): Line[] {
  const { facts } = design ?? {};
  const keys = mount?.keys;
  const crookedDeg = mount?.crooked?.crookedDeg;
  const moves = keys ? say(sidesInWords(keys.move, 'nothing'), MM) : '';
  const readings = ticket.mount.readings.map(
    (found) => `${MARK_NAMES[found.mark]} ${say(sidesInWords(found, 'in the middle'), MM)}`,
  );
  const threads = (stitch?.stops ?? []).map((stop, i) => `${i + 1} ${stop.thread?.name ?? stop.name}`);
  const lines: [string, string | null][] = [
    [
      'Design',
      facts
        ? `${say([mm(facts.widthMm), ' × ', mm(facts.heightMm)], units)}, ${facts.stitches} stitches`
        : null,
    ],
    ['Threads', threads.join(', ') || null],
    ['Keys', keys ? `turn ${keys.turnDeg}°${keys.mirror ? ', mirrored' : ''}, move ${moves}` : null],
    ['Read off', readings.join('; ') || null],
    [
      'Crooked',
      typeof crookedDeg === 'number'
        ? Math.abs(crookedDeg) < 0.05
          ? 'no'
          : `${Math.abs(crookedDeg).toFixed(1)}° ${crookedDeg > 0 ? 'clockwise' : 'counter-clockwise'}`
        : null,
    ],
  ];
  const { keyed } = log.used;
  const asKeyed = keyed && `turn ${keyed.turnDeg}°, move ${say(sidesInWords(keyed, 'nothing'), MM)}`;
  return lines.flatMap(([name, planned]) =>
    planned === null ? [] : [{ name, planned, used: name === 'Keys' ? asKeyed : null }],
  );
}

interface Line {
  name: string;
  planned: string;
  used: string | null;
}

function linesOf(entry: LogEntry, frozen: FrozenPlan, hoopName: (id: string) => string): Line[] {
  const { used } = entry.log;
  const { hoop, layers } = frozen;
  return [
    { name: 'Method', planned: hoop?.method ?? '–', used: used.method },
    {
      name: 'Hoop',
      planned: hoop?.laid?.verdict.hoop.name ?? '–',
      used: used.hoopId ? hoopName(used.hoopId) : null,
    },
    {
      name: 'Support',
      planned: sheetNames(layers ? sheetsOfToday(layers.sheets, hoop?.method ?? null) : null) || '–',
      used: sheetNames(used.sheets),
    },
    { name: 'Topper', planned: layers?.parts.topper.choice.name ?? '–', used: nameOf(TOPPERS, used.topper) },
    { name: 'Needle', planned: layers?.parts.needle.choice.name ?? '–', used: nameOf(NEEDLES, used.needle) },
    { name: 'Bobbin', planned: layers?.parts.bobbin.choice.name ?? '–', used: nameOf(BOBBINS, used.bobbin) },
  ];
}

/** Faults with how bad each was; empty where there was none. */
const faultWords = (faults: LogEntry['log']['faults']): string =>
  FAULTS.flatMap(({ id, name }) =>
    (faults[id] ?? 0) > 0 ? [`${name}: ${SEVERITY_WORDS[faults[id] ?? 0]}`] : [],
  ).join('. ');

function Entry({ entry }: { entry: KeptEntry }) {
  const p = usePalette();
  const { shelf, units } = useShop();
  const frozen = entry.plan;
  const drawn = drawnFrom(frozen);
  const faults = FAULTS.filter((f) => (entry.log.faults[f.id] ?? 0) > 0);
  const lines = [
    ...linesOf(
      entry,
      frozen,
      (id) => shelf.hoops.find((h) => h.id === id)?.name ?? 'a hoop no longer on the shelf',
    ),
    ...factLines(entry, frozen, units),
  ];
  const pieces = piecesOf(entry.ticket);
  const off = offInWords(offBy(entry.log, frozen.design?.facts?.widthMm ?? 0));
  const { others } = entry.log;
  const names = (entry.ticket.design.names?.rows ?? []).map(calledName);
  const calledAs = (piece: number): string => names[piece - 1] ?? `no. ${piece}`;
  const minutes = Object.entries(minutesOf(entry.log));
  return (
    <Stack gap={16}>
      <Row gap={16} wrap>
        {drawn ? <Thumbnail plan={drawn} size={150} /> : null}
        <View style={{ flex: 1, minWidth: 180, gap: 4 }}>
          <Txt as="strong">{faultWords(entry.log.faults) || 'It came out well.'}</Txt>
          {off ? <Txt>{`It lies ${say(off, units)}.`}</Txt> : null}
          {entry.log.trial ? (
            <>
              <Txt as="small">{say(trialInWords(entry.log.trial), units)}</Txt>
              <Txt as="strong">{say(trialAnswer(entry.log.trial, entry.log, pieces), units)}</Txt>
            </>
          ) : null}
          {entry.log.swatch ? <Txt as="strong">A swatch</Txt> : null}
          {others.map((other) => (
            <Txt
              key={other.piece}
              as="small"
            >{`${calledAs(other.piece)}: ${faultWords(other.faults) || 'came out well'}${other.note ? `. ${other.note}` : ''}`}</Txt>
          ))}
          {pieces > 1 ? <Txt as="strong">{`${pieces} pieces`}</Txt> : null}
          {names.length > 0 ? <Txt>{names.join(', ')}</Txt> : null}
          {entry.log.note ? <Txt>{entry.log.note}</Txt> : null}
          {entry.log.nextTime ? <Txt>{`Next time: ${entry.log.nextTime}`}</Txt> : null}
          {minutes.length > 0 ? (
            <Txt as="small" tone="graphite">
              {minutes.map(([stage, value]) => `${stage} ${value} min`).join(', ')}
            </Txt>
          ) : null}
        </View>
      </Row>
      {entry.log.photos.length > 0 ? <Photos photos={entry.log.photos} size={168} /> : null}
      <Took uses={entry.taken} />
      <MakeAgain entry={entry} />
      <Txt as="heading" level={2}>
        As it was done
      </Txt>
      <View>
        {lines.map(({ name, planned, used }) => (
          <View
            key={name}
            style={{
              flexDirection: 'row',
              gap: 10,
              paddingVertical: 6,
              borderBottomWidth: 1,
              borderColor: p.hairline,
            }}
          >
            <Stack width={76}>
              <Txt as="label" tone="graphite">
                {name}
              </Txt>
            </Stack>
            <Stack grow>
              <Txt as="strong">{used ?? planned}</Txt>
              {used && used !== planned ? (
                <Txt as="small" tone="graphite">{`planned: ${planned}`}</Txt>
              ) : null}
            </Stack>
          </View>
        ))}
      </View>
      {frozen.place ? (
        <View>
          <Txt as="heading" level={2}>
            How it was marked
          </Txt>
          <StepList steps={frozen.place.marks} units={units} />
        </View>
      ) : null}
      {faults.map((f) => (
        <Txt key={f.id} as="small">{`${f.name}. Usually: ${f.causes}. ${say([f.nextTime], units)}`}</Txt>
      ))}
    </Stack>
  );
}

/** One entry: how it came out, what was really used, and the plan as it was. */
export function EntryScreen({ id }: { id: string }) {
  const router = useRouter();
  const { data, isError, waits } = useEntry(id);
  const subtitle = data
    ? `${data.ticket.customer ? `${data.ticket.customer} · ` : ''}${format(parseISO(data.loggedAt), 'd MMMM yyyy')}`
    : '';
  return (
    <Screen
      title={data ? titleOf(data.ticket) : 'Logbook entry'}
      subtitle={subtitle}
      aside={
        <Row gap={8} align="middle">
          {data ? <FileLink href={`/api/logbook/${id}/entry.pdf`} name="PDF" /> : null}
          <Press title="Back" onPress={() => router.replace('/logbook')} />
        </Row>
      }
    >
      {waits ? (
        <Txt>It is still waiting to be sent. You can read it once the shop’s computer has it.</Txt>
      ) : null}
      {isError ? <Txt tone="madder">This entry is not in the logbook.</Txt> : null}
      {data ? <Entry entry={data} /> : null}
    </Screen>
  );
}
