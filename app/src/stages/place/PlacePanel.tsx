import { formatLength } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import { numberFor } from '@zt/core/catalogue/houseNumber';
import { PLACE_NUMBERS } from '@zt/core/catalogue/numbers/place';
import type { PlacePlan } from '@zt/core/stages/place/planPlace';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { StepList } from '../../components/StepList';
import { Callout } from '../../components/ui/Callout';
import { Disclosures } from '../../components/ui/Disclosures';
import { LengthField } from '../../components/ui/LengthField';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { Why } from '../../components/Why';
import { usePlan, useRules, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { DepthFields } from './DepthFields';
import { MethodChoice } from './MethodChoice';
import { OffsetFields, OffsetLine } from './OffsetLine';
import { PlacementChoice } from './PlacementChoice';
import { RepeatFields } from './RepeatFields';
import { ScatterFields } from './ScatterFields';

/** What this placement asks besides: a gap, repeats, a scatter. */
function PlacementFields({ place }: { place: PlacePlan }) {
  const ticket = useTicket('place');
  const rules = useRules();
  const { change } = useTicketActs();
  const { copies, rule } = place.placement;
  if (copies === 'scatter') return <ScatterFields />;
  if (copies === 'closed hem' || copies === 'open hem') return <RepeatFields />;
  if (rule.by !== 'gap-from-edge') return null;
  return (
    <LengthField
      label="gap from the edge"
      at="place.edgeGapMm"
      mm={ticket.place.edgeGapMm ?? numberFor(rules, PLACE_NUMBERS.edgeGapMm)}
      onLength={(edgeGapMm) => change({ stage: 'place', set: { edgeGapMm } })}
    />
  );
}

/** Where it goes, by which rule, and the steps that find the spot with a tape. */
export function PlacePanel() {
  const ticket = useTicket('piece', 'id');
  const plan = usePlan('place', 'hoop');
  const units = useUnits();
  const router = useRouter();
  const { place, hoop } = plan;
  if (!place) return null;
  const { sizes } = ticket.piece;
  const scattered = place.placement.copies === 'scatter';
  return (
    <Stack gap={12}>
      <View>
        <Txt as="heading" level={2}>
          {place.placement.name}
        </Txt>
        <Txt as="small" tone="graphite">
          {place.placement.faces}
        </Txt>
      </View>
      <StepList steps={place.marks} units={units} />
      <PlacementFields place={place} />
      {scattered ? null : <OffsetLine />}
      <Disclosures>
        <PlacementChoice />
        {scattered ? null : <OffsetFields />}
        {scattered ? null : <DepthFields />}
        <Why about="this place" reasons={place.reasons} units={units} />
      </Disclosures>
      {hoop && hoop.hoopings.length > 0 ? (
        <Txt>{`${place.copies.length} copies in ${hoop.hoopings.length} hoopings of the ${hoop.laid?.verdict.hoop.name}: ${hoop.hoopings.map((h) => h.copies.map((i) => i + 1).join(' + ')).join(' · ')}.`}</Txt>
      ) : null}
      {place.nearest ? (
        <Callout tone="moss">
          <Txt>{`Nearest: ${place.nearest.name}, ${formatLength(place.nearest.mm, units)} clear.`}</Txt>
        </Callout>
      ) : null}
      <MethodChoice />
      <Row wrap>
        <Press
          grow
          title="Template, card"
          label="Print: template, ruler, job card"
          onPress={() => router.push(`/ticket/${ticket.id}/print`)}
        />
        <Press
          grow
          title={sizes.length > 0 ? `On all ${sizes.length + 1} sizes` : 'On other sizes'}
          label={sizes.length > 0 ? `See it on all ${sizes.length + 1} sizes` : 'See it on other sizes'}
          onPress={() => router.push(`/ticket/${ticket.id}/sizes`)}
        />
      </Row>
      {[place.prepare, ...place.cautions].map((caution) => (
        <Txt key={say(caution, units)} as="small" tone="graphite">
          {say(caution, units)}
        </Txt>
      ))}
    </Stack>
  );
}
