import { useEntryQuery } from '../services/logbookApi';
import { useAppSelector } from '../store/store';

/** An entry of the logbook, once the shop's computer has it: one that waits here to be sent is not asked for before. */
export function useEntry(id: string) {
  const waits = useAppSelector(({ queue }) =>
    queue.waiting.some(
      ({ endpoint, arg, refused }) => endpoint === 'addEntry' && arg.id === id && refused === null,
    ),
  );
  const { data, isError } = useEntryQuery(id, { skip: waits });
  return { data, isError, waits };
}
