import { useLocalSearchParams } from 'expo-router';
import { CompareScreen } from '../../features/logbook/CompareScreen';

export default function Compare() {
  const { ids = '' } = useLocalSearchParams<{ ids?: string }>();
  return <CompareScreen ids={ids.split(',').filter((id) => id !== '')} />;
}
