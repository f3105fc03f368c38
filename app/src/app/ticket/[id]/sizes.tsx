import { useLocalSearchParams } from 'expo-router';
import { SizesScreen } from '../../../features/sizes/SizesScreen';

export default function SizesRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <SizesScreen id={id} />;
}
