import { MAT, type OnCutter } from '@zt/core/model/cutter';
import { titleOf } from '@zt/core/planner/titleOf';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { Slip } from '../../components/Slip';
import { BackBar } from '../../components/ui/BackBar';
import { FilePress } from '../../components/ui/FilePress';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Txt } from '../../components/ui/Txt';
import { useTicket } from '../../hooks/useTicket';
import { useLayOnCutterMutation, usePressCutterMutation } from '../../services/cutterApi';
import { messageOf } from '../../services/messageOf';
import { WithTicket } from '../../stages/WithTicket';
import { useWide } from '../../theme/layout';
import { usePalette } from '../../theme/palette';
import { MatDrawing } from './MatDrawing';
import { useCutSheets } from './useCutSheets';

const SILENT = 'The shop’s computer does not answer. Nothing was cut.';

/** A cut file on the cutter, and what it says. */
function useCutter() {
  const [lay] = useLayOnCutterMutation();
  const [send] = usePressCutterMutation();
  const [on, setOn] = useState<OnCutter | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const took = ({ data, error }: { data?: OnCutter; error?: unknown }) => {
    setRefused(error ? messageOf(error, SILENT) : null);
    if (data) setOn(data);
  };
  return {
    on,
    refused,
    put: async (file: string) => {
      setOn(null);
      took(await lay({ file }));
    },
    cut: async (pieces: number | null) => {
      if (on) took(await send({ run: on.run, pieces }));
    },
    clear: () => setOn(null),
  };
}

/** The file of the cloth that was sent here; null while it is laid out. */
function useSheetFile(called: string): { file: string | null; hex: string; failed: string | null } {
  const { cloth } = useLocalSearchParams<{ cloth?: string }>();
  const cutting = useCutSheets();
  const sheet = cutting.state === 'laid' ? cutting.sheets[Number(cloth ?? 0)] : undefined;
  const [file, setFile] = useState<string | null>(null);
  useEffect(() => {
    if (!sheet) return;
    let over = false;
    void import('../../files/svgFiles').then(({ writeCutFile }) => {
      if (!over) setFile(writeCutFile(sheet, called));
    });
    return () => {
      over = true;
    };
  }, [sheet, called]);
  return {
    file,
    hex: sheet?.cloth.hex ?? '#EFE6D2',
    failed: cutting.state === 'failed' ? cutting.message : null,
  };
}

function Cutter() {
  const ticket = useTicket();
  const router = useRouter();
  const p = usePalette();
  const wide = useWide();
  const { file, hex, failed } = useSheetFile(titleOf(ticket));
  const { on, refused, put, cut, clear } = useCutter();
  // biome-ignore lint/correctness/useExhaustiveDependencies: each file is laid on once
  useEffect(() => {
    if (file !== null) void put(file);
  }, [file]);
  const back = () => (router.canGoBack() ? router.back() : router.replace(`/ticket/${ticket.id}/cloth`));
  const isDone = on !== null && on.state.cut === on.job.pieces.length;
  const next = on?.job.pieces[on.state.cut]?.name;
  return (
    <View role="main" style={{ flex: 1, backgroundColor: p.paper }}>
      <BackBar
        title={`Cutter: ${titleOf(ticket)}`}
        subtitle={`Stand-in, its mat ${MAT.widthMm} × ${MAT.heightMm} mm`}
        backLabel="Back to the cloth"
        onBack={back}
      />
      <View style={{ flex: 1, flexDirection: wide ? 'row' : 'column' }}>
        <View style={wide ? { flex: 2 } : { height: '45%' }}>
          <MatDrawing on={on} clothHex={hex} />
        </View>
        <View style={{ flex: 1, minHeight: 0, borderColor: p.ink, borderLeftWidth: wide ? 1.5 : 0 }}>
          <Slip
            ok={refused === null && failed === null}
            message={refused ?? failed ?? on?.message ?? 'Waiting for a file.'}
            testID="cutter-says"
          />
          <ScrollView
            contentContainerStyle={{ padding: 14, gap: 10 }}
            style={{ flex: 1, backgroundColor: p.panel }}
          >
            <Txt as="small">
              {on && !isDone && next !== undefined
                ? `Next: ${next}. Holes are cut before outlines.`
                : isDone
                  ? 'Lift the pieces off; peel the paper of the web only when you lay them.'
                  : 'An SVG at true size, closed lines only.'}
            </Txt>
            <Txt as="small" tone="madder">
              Blade: fingers off the mat while it cuts. A real cutter’s own manual comes first.
            </Txt>
            <Row wrap gap={8}>
              {on && !isDone ? <Press title="Cut one" onPress={() => void cut(1)} /> : null}
              {on && !isDone ? <Press kind="main" title="Cut all" onPress={() => void cut(null)} /> : null}
              {on ? <Press kind="link" title="Clear the mat" onPress={clear} /> : null}
              {on || file === null ? null : <Press title="Lay it on again" onPress={() => void put(file)} />}
              <FilePress
                title="Another file"
                label="Another cut file"
                accept=".svg,image/svg+xml"
                onFile={(given) => void given.text().then(put)}
              />
            </Row>
          </ScrollView>
        </View>
      </View>
    </View>
  );
}

/** The cutter: a stand-in that reads a cut file back and cuts it piece by piece. */
export const CutterScreen = ({ id }: { id: string }) => <WithTicket id={id}>{() => <Cutter />}</WithTicket>;
