import { NEEDLES } from '@zt/core/catalogue/materials';
import { LOG_FACETS, type LogFacet, type LogFilter, type LogPage } from '@zt/core/model/api';
import type { PieceKindId } from '@zt/core/model/pieceKindIds';
import type { NeedleId } from '@zt/core/model/ticket/layers';
import { stackName } from '@zt/core/records/evidence/stackName';
import { PIECE_KINDS } from '@zt/core/stages/piece/kinds/index';
import { useState } from 'react';
import { Chip } from '../../components/ui/Chip';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { useClothName } from '../../shop/useClothName';

const TITLES: Record<LogFacet, string> = {
  outcome: 'How it came out',
  kind: 'Piece',
  fabricId: 'Cloth',
  use: 'What for',
  density: 'Design',
  method: 'Method',
  stack: 'Stack',
  needle: 'Needle',
  customer: 'For whom',
  who: 'Done by',
};
/** So many values of a facet are in sight at first. */
const FIRST = 8;

/** How a value of a facet is called. */
export function useValueName(): (facet: LogFacet, value: string) => string {
  const clothName = useClothName();
  return (facet, value) => {
    if (facet === 'kind') return PIECE_KINDS[value as PieceKindId]?.name ?? value;
    if (facet === 'fabricId') return clothName(value);
    if (facet === 'needle') return NEEDLES[value as NeedleId]?.name ?? value;
    return facet === 'stack' ? stackName(value) : value;
  };
}

interface FacetProps {
  facet: LogFacet;
  values: LogPage['facets'][LogFacet];
  chosen: readonly string[];
  onChosen: (values: string[]) => void;
}

/** The values of one facet, each with how many pieces it would leave. */
function Facet({ facet, values, chosen, onChosen }: FacetProps) {
  const nameOf = useValueName();
  const [all, setAll] = useState(false);
  const shown = values.filter(({ value }, i) => all || i < FIRST || chosen.includes(value));
  if (values.length === 0) return null;
  return (
    <Stack gap={6}>
      <Txt as="label" tone="graphite">
        {TITLES[facet]}
      </Txt>
      <Row gap={6} wrap role="group" aria-label={TITLES[facet]}>
        {shown.map(({ value, n }) => {
          const on = chosen.includes(value);
          return (
            <Chip
              key={value}
              role="checkbox"
              small
              name={nameOf(facet, value)}
              detail={String(n)}
              on={on}
              onPress={() => onChosen(on ? chosen.filter((one) => one !== value) : [...chosen, value])}
            />
          );
        })}
        {values.length > shown.length ? (
          <Press
            kind="link"
            title={`${values.length - shown.length} more`}
            label={`${TITLES[facet]}: ${values.length - shown.length} more`}
            onPress={() => setAll(true)}
          />
        ) : null}
      </Row>
    </Stack>
  );
}

interface FacetsProps {
  facets: LogPage['facets'];
  filter: LogFilter;
  onFilter: (filter: LogFilter) => void;
}

/** By what the logbook can be narrowed down, and how many pieces each would leave. */
export function Facets({ facets, filter, onFilter }: FacetsProps) {
  return (
    <Stack gap={12}>
      {LOG_FACETS.map((facet) => (
        <Facet
          key={facet}
          facet={facet}
          values={facets[facet]}
          chosen={filter[facet] ?? []}
          onChosen={(values) => onFilter({ ...filter, [facet]: values.length > 0 ? values : undefined })}
        />
      ))}
    </Stack>
  );
}
