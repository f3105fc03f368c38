import { useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { Bar } from '../../components/ui/Bar';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Screen } from '../../components/ui/Screen';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { UnitsToggle } from '../../components/ui/UnitsToggle';
import { UsualKit, WhichHoops, WhichMachine, WhichRolls } from '../../shop/Kit';
import { useShop } from '../../shop/useShop';

function Question({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Stack gap={8}>
      <Txt as="heading" level={2}>
        {title}
      </Txt>
      {children}
    </Stack>
  );
}

/** What do you work with? Machine, hoops and rolls by pictures; each can be left, and all be changed on the shelf. */
export function FirstScreen() {
  const router = useRouter();
  const { shelf, units, setUnits } = useShop();
  const isBare = shelf.machines.length + shelf.hoops.length + shelf.materials.length === 0;
  return (
    <Screen
      title="What do you work with?"
      subtitle="Tap what is yours. Each of these can wait."
      aside={<UnitsToggle units={units} onUnits={setUnits} />}
      foot={
        <Bar at="foot">
          <Press title="To the bench" onPress={() => router.replace('/')} />
          <Stack grow />
          <Press kind="main" title="Start a piece" onPress={() => router.replace('/new')} />
        </Bar>
      }
    >
      {isBare ? (
        <Row align="middle" wrap>
          <Stack grow>
            <Txt>
              In a hurry? Two screw hoops, a flat-bed machine and five rolls, marked as taken as usual.
            </Txt>
          </Stack>
          <UsualKit />
        </Row>
      ) : null}
      <Question title="Your machine">
        <WhichMachine />
      </Question>
      <Question title="Hoops that came with it, to one scale">
        <WhichHoops />
      </Question>
      <Question title="Rolls on the shelf">
        <WhichRolls />
      </Question>
      <Txt as="small" tone="graphite">
        Figures are those that are usual. Measure yours once, on the shelf: above all the outer ring, and the
        room between needle and body.
      </Txt>
    </Screen>
  );
}
