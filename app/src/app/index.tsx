import { useLocalSearchParams } from 'expo-router';
import { BenchScreen } from '../features/bench/BenchScreen';

export default function Bench() {
  const { removed } = useLocalSearchParams<{ removed?: string }>();
  return <BenchScreen removed={removed ?? null} />;
}
