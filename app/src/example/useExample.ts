import { EXAMPLE_ID, exampleTicket } from '@zt/core/table/example/example';
import { useRouter } from 'expo-router';
import { exampleEnded, ticketStarted } from '../store/editor';
import { useAppDispatch, useAppSelector } from '../store/store';

/** Whether the guided example is open: its ticket is kept nowhere. */
export const useIsExample = (): boolean => useAppSelector(({ editor }) => editor.present?.id === EXAMPLE_ID);

/** The ways into the guided example and out of it. */
export function useExample() {
  const dispatch = useAppDispatch();
  const router = useRouter();
  return {
    begin: () => {
      dispatch(ticketStarted(exampleTicket()));
      router.push(`/ticket/${EXAMPLE_ID}/piece`);
    },
    end: () => {
      dispatch(exampleEnded());
      router.replace('/');
    },
  };
}
