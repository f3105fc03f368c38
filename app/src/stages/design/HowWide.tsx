import { say } from '@zt/core/base/units/phrase';
import { possibleWidths } from '@zt/core/table/howWide/howWide';
import { sides } from '../../components/figures';
import { Callout } from '../../components/ui/Callout';
import { Choice } from '../../components/ui/Choice';
import { LengthField } from '../../components/ui/LengthField';
import { Press } from '../../components/ui/Press';
import { Txt } from '../../components/ui/Txt';
import { useRules, useShelf, useTicket, useUnits } from '../../hooks/useTicket';

interface HowWideProps {
  fileName: string;
  /** How many times as high as wide the drawing is. */
  upright: number;
  onWidth: (mm: number) => void;
  onLeave: () => void;
}

/** A drawing that says nothing of its size is asked about: what the hoops hold, or any width. */
export function HowWide({ fileName, upright, onWidth, onLeave }: HowWideProps) {
  const ticket = useTicket();
  const shelf = useShelf();
  const rules = useRules();
  const units = useUnits();
  return (
    <Callout tone="tape" gap={8} role="group" aria-label="How wide is it to be?">
      <Txt as="strong">{`${fileName} does not say how large it is. How wide is it to be?`}</Txt>
      <Choice
        label="Width and height"
        quiet
        small
        options={possibleWidths(upright, ticket, shelf, rules).map(({ mm, why }) => ({
          id: String(mm),
          name: sides({ widthMm: mm, heightMm: mm * upright }, units),
          detail: say(why, units),
        }))}
        chosen={null}
        onChoose={(mm) => onWidth(Number(mm))}
      />
      <LengthField
        label="another width"
        at="design.parts.0.widthMm"
        mm={null}
        onLength={onWidth}
        stepper={false}
      />
      <Press kind="link" title="Leave it" onPress={onLeave} />
    </Callout>
  );
}
