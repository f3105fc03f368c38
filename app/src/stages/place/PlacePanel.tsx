import {
  formatLength,
  type MarkMethod,
  type PlaceInput,
  placementsFor,
  say,
  schoolFor,
  schoolsOf,
} from '@zt/core';
import { View } from 'react-native';
import { StepList } from '../../components/StepList';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Txt } from '../../components/ui/Txt';
import { Why } from '../../components/Why';
import { useOpenTicket } from '../../hooks/useTicket';
import { useWide } from '../../theme/layout';
import { usePalette } from '../../theme/palette';

type ChestSchool = NonNullable<PlaceInput['school']>;
const SCHOOL_NAMES = Object.fromEntries(schoolsOf('chest')) as Record<ChestSchool, string>;
const METHODS: readonly { id: MarkMethod; name: string }[] = [
  { id: 'tape', name: 'halve with the tape' },
  { id: 'fold', name: 'fold and press' },
];

/** How far the design lies from its rule, and the way back. */
function OffsetLine() {
  const { ticket, units, change } = useOpenTicket();
  const { offset, turnDeg } = ticket.place;
  const parts = [
    offset.x === 0
      ? null
      : `${formatLength(Math.abs(offset.x), units)} to your ${offset.x > 0 ? 'right' : 'left'}`,
    offset.y === 0 ? null : `${formatLength(Math.abs(offset.y), units)} ${offset.y > 0 ? 'lower' : 'higher'}`,
    turnDeg === 0 ? null : `turned ${turnDeg}°`,
  ].filter(Boolean);
  if (parts.length === 0)
    return (
      <Txt as="small" tone="graphite">
        On the rule. Drag it on the sheet to move it.
      </Txt>
    );
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10, flexWrap: 'wrap' }}>
      <Txt as="strong" testID="offset">{`Off the rule: ${parts.join(', ')}`}</Txt>
      <Press
        kind="link"
        title="back to the rule"
        onPress={() => change({ stage: 'place', set: { offset: { x: 0, y: 0 }, turnDeg: 0 } })}
      />
    </View>
  );
}

/** Where it goes, by which rule, and the steps that find the spot with a tape. */
export function PlacePanel() {
  const { ticket, plan, units, rules, change } = useOpenTicket();
  const p = usePalette();
  const wide = useWide();
  const { place } = plan;
  if (!place) return null;
  const placements = placementsFor(ticket.piece.kind);
  const chosen = ticket.place.school ?? schoolFor(rules, 'chest');
  return (
    <View style={{ gap: 12 }}>
      <View>
        <Txt as="heading" level={2}>
          {place.placement.name}
        </Txt>
        <Txt as="small" tone="graphite">
          {place.placement.faces}
        </Txt>
      </View>
      {placements.length > 1 ? (
        <Disclosure
          title={`${place.placement.name}, ${SCHOOL_NAMES[chosen]}: change`}
          label="Change the placement"
          startOpen={wide}
        >
          {placements.length > 1 ? (
            <Choice
              quiet
              label="Placement"
              small
              options={placements.map(({ id, name }) => ({ id, name }))}
              chosen={place.placement.id}
              onChoose={(placement) => change({ stage: 'place', set: { placement, offset: { x: 0, y: 0 } } })}
            />
          ) : null}
          {place.placement.bySchool ? (
            <Choice
              quiet
              label="School"
              small
              options={schoolsOf('chest').map(([id, name]) => ({ id: id as ChestSchool, name }))}
              chosen={chosen}
              onChoose={(school) => change({ stage: 'place', set: { school } })}
            />
          ) : null}
        </Disclosure>
      ) : null}
      <OffsetLine />
      <StepList steps={place.marks} units={units} />
      <Why about="this place" reasons={place.reasons} units={units} />
      {place.nearest ? (
        <View style={{ backgroundColor: p.shade, borderLeftWidth: 4, borderColor: p.moss, padding: 12 }}>
          <Txt>{`Nearest: ${place.nearest.name}, ${formatLength(place.nearest.mm, units)} clear.`}</Txt>
        </View>
      ) : null}
      <Choice
        label="Find the spot by"
        small
        options={METHODS}
        chosen={ticket.place.method}
        onChoose={(method) => change({ stage: 'place', set: { method } })}
      />
      {place.cautions.map((caution) => (
        <Txt key={say(caution, units)} as="small" tone="graphite">
          {say(caution, units)}
        </Txt>
      ))}
    </View>
  );
}
