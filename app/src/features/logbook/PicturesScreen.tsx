import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Press } from '../../components/ui/Press';
import { Screen } from '../../components/ui/Screen';
import { Txt } from '../../components/ui/Txt';
import { usePicturesQuery } from '../../services/logbookApi';
import { CameOut } from './pictures/CameOut';
import { Fit } from './pictures/Fit';
import { Missed } from './pictures/Missed';
import { Needles } from './pictures/Needles';
import { TookPicture } from './pictures/Took';

/** What the logbook shows of itself. */
export function PicturesScreen() {
  const router = useRouter();
  const { data, isError } = usePicturesQuery();
  return (
    <Screen
      title="Pictures"
      subtitle={data ? `of ${data.pieces} ${data.pieces === 1 ? 'piece' : 'pieces'} in the logbook` : ''}
      aside={<Press title="Back" onPress={() => router.replace('/logbook')} />}
    >
      {isError ? <Txt tone="madder">The shop’s computer draws them, and it cannot be reached.</Txt> : null}
      {data?.pieces === 0 ? <Txt>Nothing is logged yet: pictures come with the first pieces.</Txt> : null}
      {data ? (
        <View
          style={{
            flexDirection: 'row',
            flexWrap: 'wrap',
            columnGap: 32,
            rowGap: 24,
            alignItems: 'flex-start',
          }}
        >
          {data.cameOut.length > 0 ? <CameOut rows={data.cameOut} /> : null}
          {data.missed.map((missed) => (
            <Missed key={missed.placement} missed={missed} />
          ))}
          {data.took.length > 0 ? <TookPicture took={data.took} hands={data.hands} /> : null}
          {data.needles.length > 0 ? <Needles rows={data.needles} /> : null}
          {data.fits.map((fit) => (
            <Fit key={fit.figure} fit={fit} />
          ))}
        </View>
      ) : null}
    </Screen>
  );
}
