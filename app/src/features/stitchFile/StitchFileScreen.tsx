import { inflate } from '@zt/core/base/geometry/box';
import { formatLength } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import { partOfFile } from '@zt/core/files/stitchFiles/told';
import { mostCoverOn } from '@zt/core/planner/crossChecks/hotSpots';
import { titleOf } from '@zt/core/planner/titleOf';
import { isBlank } from '@zt/core/stages/design/parts/acts';
import { mostFelt } from '@zt/core/stages/design/stitches/density';
import { boxOfStitches } from '@zt/core/stages/design/stitches/summary';
import { DEFAULT_SPEED } from '@zt/core/stages/stitch/planStitch';
import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { ScrollView, View } from 'react-native';
import { oneDigit } from '../../components/figures';
import { BackBar } from '../../components/ui/BackBar';
import { Callout } from '../../components/ui/Callout';
import { FilePress } from '../../components/ui/FilePress';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Swatch } from '../../components/ui/Swatch';
import { Txt } from '../../components/ui/Txt';
import { newId } from '../../hooks/newId';
import { usePlan, useRules, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { ThreadCanvas } from '../../sheet/layers/ThreadCanvas';
import { Sheet } from '../../sheet/Sheet';
import { WithTicket } from '../../stages/WithTicket';
import { PlayControls } from '../../stitches/PlayControls';
import { usePlayhead } from '../../stitches/playhead';
import { useWide } from '../../theme/layout';
import { usePalette } from '../../theme/palette';
import { type FileState, type Opened, useStitchFile } from './useStitchFile';

const ACCEPTED = '.csv,.json,.svg,text/csv,application/json,image/svg+xml';
const MARGIN = 0.08;

/** The thread of the file on the sheet, as far as it is played. */
function FileDrawing({ opened }: { opened: Opened }) {
  const p = usePalette();
  const { at, isDensity } = usePlayhead();
  const { piece, layers } = usePlan('piece', 'layers');
  const rules = useRules();
  const { file, map, told } = opened;
  const hot = mostCoverOn(piece.fabric, layers?.sheets.length ?? 1, rules).cover;
  const threads = useMemo(
    () => ({
      stitches: file.stitches,
      map,
      hexes: file.stops.map(({ hex }) => hex),
      hotAbove: hot,
      ink: p.ink,
      hot: p.madder,
    }),
    [file, map, hot, p],
  );
  const box = boxOfStitches(file.stitches) ?? { left: -1, top: -1, right: 1, bottom: 1 };
  return (
    <Sheet
      focus={inflate(box, Math.max(1, told.widthMm, told.heightMm) * MARGIN)}
      description={`The stitches of ${opened.fileName} at stitch ${Math.ceil(at)} of ${file.stitches.x.length}.`}
      over={<ThreadCanvas threads={threads} scale={1} upTo={Math.ceil(at)} isDensity={isDensity} />}
    >
      {null}
    </Sheet>
  );
}

/** What the file tells, stop by stop, and the way onto the ticket. */
function FileTold({ opened }: { opened: Opened }) {
  const { design, id } = useTicket('design', 'id');
  const { change } = useTicketActs();
  const { mount } = usePlan('mount');
  const units = useUnits();
  const router = useRouter();
  const { file, map, told } = opened;
  const perSecond = (mount?.machine?.stitchesPerMinute ?? DEFAULT_SPEED) / 60;
  const take = () => {
    const part = partOfFile(file, newId());
    const parts = design.parts.every(isBlank) ? [part] : [...design.parts, part];
    change({ stage: 'design', set: { parts } });
    router.replace(`/ticket/${id}/design`);
  };
  return (
    <Stack gap={12}>
      <View>
        <Txt as="heading" level={2}>
          {file.name || opened.fileName}
        </Txt>
        <Txt testID="file-told">
          {`${told.stitches} stitches in ${told.stops.length} ${told.stops.length === 1 ? 'stop' : 'stops'}, ${formatLength(told.widthMm, units)} × ${formatLength(told.heightMm, units)}, ${oneDigit(told.stitches / perSecond / 60)} min of stitching`}
        </Txt>
      </View>
      <PlayControls
        perSecond={perSecond}
        stopAt={(at) => {
          const { stop } = file.stitches;
          const own = stop[Math.max(0, Math.min(stop.length, Math.ceil(at)) - 1)] ?? 0;
          return { stop: own, called: file.stops[own]?.name ?? '' };
        }}
        mostCover={map ? mostFelt(map) : 0}
      />
      {told.stops.map(({ hex, name, stitches, threadMm, trims }, i) => (
        <Row key={i} gap={12} align="middle">
          <Swatch hex={hex} />
          <Stack grow>
            <Txt as="strong">{`${i + 1} ${name}`}</Txt>
            <Txt as="small" tone="graphite">
              {`${stitches} stitches · ${oneDigit(threadMm / 1000)} m laid · ${trims} ${trims === 1 ? 'trim' : 'trims'}`}
            </Txt>
          </Stack>
        </Row>
      ))}
      <Press kind="main" title="Put its figures on the ticket" onPress={take} />
      <Txt as="small" tone="graphite">
        Its size, its colours and their stitches, as off a machine’s screen. The file itself stays yours.
      </Txt>
    </Stack>
  );
}

function FileStateSaid({ now }: { now: FileState }) {
  const units = useUnits();
  if (now.state === 'none')
    return (
      <Txt>Penetrations in mm with their stops and kinds: CSV, JSON or SVG, as this shop hands them on.</Txt>
    );
  if (now.state === 'reading')
    return (
      <Row align="middle" gap={8}>
        <Stack grow>
          <Txt live>{`Reading ${now.fileName}`}</Txt>
        </Stack>
        <Press title="Stop" onPress={now.stop} />
      </Row>
    );
  if (now.state === 'open') return <FileTold opened={now} />;
  return (
    <Callout tone="madder" grave role="alert">
      <Txt as="strong">{`${now.fileName} was not taken.`}</Txt>
      <Txt testID="file-refused">{now.state === 'refused' ? say(now.message, units) : now.message}</Txt>
    </Callout>
  );
}

function StitchFileOpened() {
  const ticket = useTicket();
  const router = useRouter();
  const p = usePalette();
  const wide = useWide();
  const { now, read } = useStitchFile();
  // It took the place of Stitch, whose stitches would be played in its stead.
  const back = () => router.replace(`/ticket/${ticket.id}/stitch`);
  return (
    <View role="main" style={{ flex: 1, backgroundColor: p.paper }}>
      <BackBar title="A stitch file" subtitle={titleOf(ticket)} backLabel="Back to Stitch" onBack={back}>
        <FilePress title="Choose a file" label="Stitch file" accept={ACCEPTED} onFile={read} />
      </BackBar>
      <View style={{ flex: 1, flexDirection: wide ? 'row' : 'column' }}>
        <View style={wide ? { flex: 2 } : { height: '42%' }}>
          {now.state === 'open' ? (
            <FileDrawing opened={now} />
          ) : (
            <Sheet focus={{ left: -50, top: -50, right: 50, bottom: 50 }} description="An empty sheet.">
              {null}
            </Sheet>
          )}
        </View>
        <View style={{ flex: 1, minHeight: 0, borderColor: p.ink, borderLeftWidth: wide ? 1.5 : 0 }}>
          <ScrollView
            contentContainerStyle={{ padding: 14, gap: 12 }}
            style={{ flex: 1, backgroundColor: p.panel }}
          >
            <FileStateSaid now={now} />
          </ScrollView>
        </View>
      </View>
    </View>
  );
}

/** A stitch file, looked at on the sheet, and its figures put on the ticket. */
export const StitchFileScreen = ({ id }: { id: string }) => (
  <WithTicket id={id}>{() => <StitchFileOpened />}</WithTicket>
);
