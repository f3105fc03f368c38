import type { DisplayUnits } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import type { ChoicePart } from '@zt/core/model/ticket/layers';
import type { ChosenPart } from '@zt/core/stages/layers/planLayers';
import { Offer } from '../../components/Offer';
import { Disclosure } from '../../components/ui/Disclosure';
import { Disclosures } from '../../components/ui/Disclosures';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Ruled } from '../../components/ui/Ruled';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { Why } from '../../components/Why';

const PART_NAMES: Record<ChoicePart, string> = {
  topper: 'Topper',
  needle: 'Needle',
  thread: 'Thread',
  bobbin: 'Bobbin',
  cover: 'Cover',
  trim: 'Trim',
};

interface PartRowProps {
  chosen: ChosenPart;
  units: DisplayUnits;
  /** Null goes back to the proposal. */
  onChoose: (choice: string | null, why: string) => void;
}

/** One part of the stack: what it is, why, and what else it could be. */
export function PartRow({ chosen, units, onChoose }: PartRowProps) {
  const name = PART_NAMES[chosen.part];
  return (
    <Ruled>
      <Row gap={10} align="baseline">
        <Stack width={70}>
          <Txt as="label" tone="graphite">
            {name}
          </Txt>
        </Stack>
        <Stack grow>
          <Txt as="strong">{`${chosen.choice.name}${chosen.overruled ? ' · your choice' : ''}`}</Txt>
          <Txt as="small" tone="graphite">
            {chosen.overruled && chosen.why ? chosen.why : say(chosen.reason.text, units)}
          </Txt>
        </Stack>
      </Row>
      <Disclosures>
        <Why about={name.toLowerCase()} reasons={[chosen.reason]} units={units} />
        <Disclosure
          title={chosen.alternatives.length === 1 ? '1 other' : `${chosen.alternatives.length} others`}
          label={`another ${name.toLowerCase()}`}
        >
          {chosen.alternatives.map(({ choice, reason }) => (
            <Offer
              key={choice.id}
              title={choice.name}
              detail={say(reason, units)}
              onTake={() => onChoose(choice.id, chosen.why)}
            />
          ))}
          {chosen.overruled ? (
            <>
              <WordsField
                at={`layers.choices.${chosen.part}.why`}
                label={`Why this ${name.toLowerCase()} (goes into the log)`}
                value={chosen.why}
                onText={(why) => onChoose(chosen.choice.id, why)}
              />
              <Press kind="link" title={`${name} as proposed`} onPress={() => onChoose(null, '')} />
            </>
          ) : null}
        </Disclosure>
      </Disclosures>
    </Ruled>
  );
}
