import { useLocalSearchParams } from 'expo-router';
import { CutterScreen } from '../../../features/cloth/CutterScreen';

export default function CutterRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <CutterScreen id={id} />;
}
