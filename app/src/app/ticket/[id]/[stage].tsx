import { Redirect, useLocalSearchParams } from 'expo-router';
import { isStage } from '../../../hooks/isStage';
import { TicketScreen } from '../../../stages/TicketScreen';

export default function TicketAtStage() {
  const { id, stage } = useLocalSearchParams<{ id: string; stage: string }>();
  return isStage(stage) ? <TicketScreen id={id} stage={stage} /> : <Redirect href={`/ticket/${id}/piece`} />;
}
