import { useLocalSearchParams } from 'expo-router';
import { ClothScreen } from '../../../features/cloth/ClothScreen';

export default function ClothRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ClothScreen id={id} />;
}
