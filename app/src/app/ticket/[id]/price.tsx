import { useLocalSearchParams } from 'expo-router';
import { PriceScreen } from '../../../features/price/PriceScreen';

export default function PriceRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PriceScreen id={id} />;
}
