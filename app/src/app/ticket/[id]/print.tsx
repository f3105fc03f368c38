import { useLocalSearchParams } from 'expo-router';
import { PrintScreen } from '../../../features/print/PrintScreen';

export default function PrintRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PrintScreen id={id} />;
}
