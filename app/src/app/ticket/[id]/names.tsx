import { useLocalSearchParams } from 'expo-router';
import { NamesScreen } from '../../../features/names/NamesScreen';

export default function NamesRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <NamesScreen id={id} />;
}
