import { USUAL_LETTERING, USUAL_MONOGRAM } from '@zt/core/model/ticket/lettering';
import { EMPTY_PART, type Part } from '@zt/core/model/ticket/part';
import { isBlank, withPartAdded } from '@zt/core/stages/design/parts/acts';
import { drawnPart, nameOfPart } from '@zt/core/stages/design/parts/drawnPart';
import { useState } from 'react';
import { sides } from '../../components/figures';
import { Chip } from '../../components/ui/Chip';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { newId } from '../../hooks/newId';
import { useTicket, useUnits } from '../../hooks/useTicket';
import { NamesPress } from './NamesPress';
import { SvgChooser } from './SvgChooser';
import { useParts } from './useParts';

/** The parts from the lowest up, each by its name and size; one is chosen by a tap, or several. */
function WhichParts() {
  const { parts, ids, choose } = useParts();
  const units = useUnits();
  const [several, setSeveral] = useState(false);
  const isAmong = (id: string) => ids.includes(id);
  const press = (id: string) => {
    if (!several) return choose([id]);
    choose(isAmong(id) ? ids.filter((other) => other !== id) : [...ids, id]);
  };
  const detail = (part: Part) => {
    const drawn = drawnPart(part);
    return drawn ? sides(drawn, units) : 'no size yet';
  };
  return (
    <Stack gap={6}>
      <Row wrap>
        <Txt as="label" tone="graphite">{`Parts, the lowest first: ${parts.length}`}</Txt>
        <Press
          kind="link"
          title={several ? 'one at a time' : 'choose several'}
          onPress={() => setSeveral(!several)}
        />
        {several ? (
          <Press
            kind="link"
            title="all"
            label="Choose all parts"
            onPress={() => choose(parts.map(({ id }) => id))}
          />
        ) : null}
      </Row>
      <Row gap={6} wrap role={several ? 'group' : 'radiogroup'} aria-label="Parts">
        {parts.map((part, i) => (
          <Chip
            key={part.id}
            role={several ? 'checkbox' : 'radio'}
            name={`${i + 1} ${nameOfPart(part)}`}
            detail={detail(part)}
            on={isAmong(part.id)}
            small
            tabbed={several || isAmong(part.id) || (ids.length === 0 && i === 0)}
            onPress={() => press(part.id)}
          />
        ))}
      </Row>
    </Stack>
  );
}

/** What the design is composed of, and what can be added to it. */
export function PartsList() {
  const { parts, putChosen } = useParts();
  const { names } = useTicket('design').design;
  const add = (made: Partial<Part>) => {
    // In a thread that is on already.
    const [thread = EMPTY_PART.colours[0]] = parts[0]?.colours ?? [];
    const colours = thread ? [{ ...thread, stitches: null }] : EMPTY_PART.colours;
    const part: Part = { ...EMPTY_PART, id: newId(), colours, ...made };
    putChosen({ parts: withPartAdded(parts, part), ids: [part.id] });
  };
  const isBare = parts.every(isBlank);
  return (
    <Stack gap={8}>
      {parts.length > 1 ? <WhichParts /> : null}
      {isBare ? null : (
        <Txt as="label" tone="graphite">
          Add to it
        </Txt>
      )}
      <Row wrap gap={6}>
        <SvgChooser part={null} />
        <Press title="Letters" label="Add letters" onPress={() => add({ letters: USUAL_LETTERING })} />
        <Press title="Monogram" label="Add a monogram" onPress={() => add({ letters: USUAL_MONOGRAM })} />
        {names ? null : <NamesPress title="Names" label="Add names, one on every piece" />}
        {isBare ? null : (
          <Press
            title="Size"
            label="Add a size off the machine"
            onPress={() => add({ densityClass: 'medium' })}
          />
        )}
      </Row>
    </Stack>
  );
}
