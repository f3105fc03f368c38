import { Redirect, useLocalSearchParams } from 'expo-router';
import { CardScreen } from '../../../../features/card/CardScreen';
import { isStage } from '../../../../hooks/isStage';

export default function CardsOfStage() {
  const { id, stage } = useLocalSearchParams<{ id: string; stage: string }>();
  return isStage(stage) ? <CardScreen id={id} stage={stage} /> : <Redirect href={`/ticket/${id}/piece`} />;
}
