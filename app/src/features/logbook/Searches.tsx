import { LOG_FACETS, type LogFilter, type SavedSearch } from '@zt/core/model/api';
import { isValid } from 'date-fns/isValid';
import { parseISO } from 'date-fns/parseISO';
import isEqual from 'fast-deep-equal';
import { useState } from 'react';
import { UndoBar } from '../../components/UndoBar';
import { Chip } from '../../components/ui/Chip';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { TextField } from '../../components/ui/TextField';
import { newId } from '../../hooks/newId';
import { useKeepSearchMutation, useRemoveSearchMutation, useSearchesQuery } from '../../services/logbookApi';
import { useValueName } from './Facets';

/** What a filter comes to: what is chosen, in words. */
export function useFilterWords(): (filter: LogFilter) => string[] {
  const nameOf = useValueName();
  return ({ q, from, to, ...facets }) => [
    ...LOG_FACETS.flatMap((facet) => (facets[facet] ?? []).map((value) => nameOf(facet, value))),
    ...(q ? [`“${q}”`] : []),
    ...(from ? [`from ${from}`] : []),
    ...(to ? [`to ${to}`] : []),
  ];
}

/** Searches that are kept, and keeping the one at hand. */
export function KeptSearches({
  filter,
  onFilter,
}: {
  filter: LogFilter;
  onFilter: (filter: LogFilter) => void;
}) {
  const { data: searches = [] } = useSearchesQuery();
  const [keep] = useKeepSearchMutation();
  const [remove] = useRemoveSearchMutation();
  const [name, setName] = useState('');
  const [gone, setGone] = useState<SavedSearch | null>(null);
  const words = useFilterWords();
  const isAny = words(filter).length > 0;
  const kept = searches.find((one) => isEqual(one.filter, withoutEmpty(filter)));
  return (
    <Stack gap={8}>
      {searches.length > 0 ? (
        <Row gap={6} wrap role="group" aria-label="Kept searches">
          {searches.map((search) => (
            <Chip
              key={search.id}
              role="checkbox"
              small
              name={search.name}
              on={kept?.id === search.id}
              onPress={() => onFilter(kept?.id === search.id ? {} : search.filter)}
            />
          ))}
        </Row>
      ) : null}
      {kept ? (
        <Press
          kind="link"
          title={`keep “${kept.name}” no longer`}
          onPress={() => {
            setGone(kept);
            void remove(kept.id);
          }}
        />
      ) : null}
      {isAny && !kept ? (
        <Row gap={8} align="end" wrap>
          <TextField grow label="Keep this search as" value={name} onText={setName} />
          <Press
            title="Keep it"
            disabled={name.trim() === ''}
            onPress={() => {
              void keep({ id: newId(), name: name.trim().slice(0, 60), filter: withoutEmpty(filter) });
              setName('');
            }}
          />
        </Row>
      ) : null}
      {gone ? (
        <UndoBar
          text={`“${gone.name}” is kept no longer.`}
          onPutBack={() => {
            void keep(gone);
            setGone(null);
          }}
        />
      ) : null}
    </Stack>
  );
}

export const withoutEmpty = (filter: LogFilter): LogFilter =>
  Object.fromEntries(Object.entries(filter).filter(([, value]) => value !== undefined && value !== ''));

const isWholeDay = (text: string): boolean =>
  /^\d{4}-\d\d-\d\d$/.test(text.trim()) && isValid(parseISO(text.trim()));

/** A day as it is typed; what is none is said. */
export function DayField({
  label,
  day,
  onDay,
}: {
  label: string;
  day: string | undefined;
  onDay: (day?: string) => void;
}) {
  const [typed, setTyped] = useState(day ?? '');
  const isDay = typed.trim() === '' || isWholeDay(typed);
  return (
    <TextField
      grow
      label={label}
      value={typed}
      placeholder="2026-03-31"
      error={isDay ? null : 'A day is written so: 2026-03-31.'}
      onText={(text) => {
        setTyped(text);
        if (text.trim() === '') onDay(undefined);
        else if (isWholeDay(text)) onDay(text.trim());
      }}
    />
  );
}
