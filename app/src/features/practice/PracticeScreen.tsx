import { useRouter } from 'expo-router';
import { ScrollView, View } from 'react-native';
import { Slip } from '../../components/Slip';
import { BackBar } from '../../components/ui/BackBar';
import { Press } from '../../components/ui/Press';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { useTicket } from '../../hooks/useTicket';
import { WithTicket } from '../../stages/WithTicket';
import { useWide } from '../../theme/layout';
import { usePalette } from '../../theme/palette';
import { BedDrawing } from './BedDrawing';
import { HoopSwitches } from './HoopSwitches';
import { NeedlePad } from './NeedlePad';
import { RunSwitches } from './RunSwitches';
import { usePractice } from './usePractice';

function Practised() {
  const ticket = useTicket();
  const practice = usePractice(ticket);
  const p = usePalette();
  const router = useRouter();
  const wide = useWide();
  const { on, press } = practice;
  const back = () => (router.canGoBack() ? router.back() : router.replace(`/ticket/${ticket.id}/mount`));
  return (
    <View role="main" style={{ flex: 1, backgroundColor: p.paper }}>
      <BackBar
        title={`Practice: ${ticket.name || 'this ticket'}`}
        subtitle={on ? `Stand-in for ${on.job.machine.name}` : 'Stand-in machine'}
        backLabel="Back to Mount"
        onBack={back}
      />
      {on ? (
        <View style={{ flex: 1, flexDirection: wide ? 'row' : 'column' }}>
          <View style={wide ? { flex: 2 } : { height: '40%' }}>
            <BedDrawing job={on.job} state={on.state} />
          </View>
          <View style={{ flex: 1, minHeight: 0, borderColor: p.ink, borderLeftWidth: wide ? 1.5 : 0 }}>
            <Slip
              ok={practice.said.ok}
              message={practice.failed ?? practice.said.message}
              testID="machine-says"
            />
            <ScrollView
              contentContainerStyle={{ padding: 14, gap: 14 }}
              style={{ flex: 1, backgroundColor: p.panel }}
            >
              <HoopSwitches practice={practice} on={on} />
              <NeedlePad practice={practice} on={on} />
              <RunSwitches practice={practice} on={on} />
            </ScrollView>
            <View
              style={{
                flexDirection: 'row',
                gap: 8,
                padding: 10,
                backgroundColor: p.panel,
                borderTopWidth: 1,
                borderColor: p.hairline,
              }}
            >
              <Press title="Trace" onPress={() => press({ press: 'trace' })} />
              <Stack grow />
              <Press
                kind="main"
                title={on.state.running ? 'Stop' : 'Start'}
                onPress={() => press({ press: on.state.running ? 'stop' : 'start' })}
              />
            </View>
          </View>
        </View>
      ) : (
        <View style={{ padding: 24, gap: 12 }}>
          <Txt as="heading" level={2}>
            {practice.failed ? 'Nothing to practise on yet' : 'Laying it on the machine'}
          </Txt>
          {practice.failed ? <Txt>{practice.failed}</Txt> : null}
          <Press title="Back to Mount" onPress={back} />
        </View>
      )}
    </View>
  );
}

/** A ticket on the practice machine: a stand-in that refuses what a real one refuses. */
export function PracticeScreen({ id }: { id: string }) {
  return <WithTicket id={id}>{() => <Practised />}</WithTicket>;
}
