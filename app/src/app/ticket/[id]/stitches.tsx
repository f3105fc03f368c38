import { useLocalSearchParams } from 'expo-router';
import { StitchFileScreen } from '../../../features/stitchFile/StitchFileScreen';

export default function StitchFileRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <StitchFileScreen id={id} />;
}
