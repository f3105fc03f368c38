import { say } from '@zt/core';
import { possibleWidths } from '@zt/core/stages/design/howWide';
import { View } from 'react-native';
import { sides } from '../../components/figures';
import { Callout } from '../../components/ui/Callout';
import { LengthField } from '../../components/ui/LengthField';
import { Press } from '../../components/ui/Press';
import { Txt } from '../../components/ui/Txt';
import { useShelf, useTicket, useUnits } from '../../hooks/useTicket';

interface HowWideProps {
  fileName: string;
  /** How many times as high as wide the drawing is. */
  upright: number;
  onWidth: (mm: number) => void;
  onLeave: () => void;
}

/** A drawing that says nothing of its size is asked about: what the hoops hold, or any width. */
export function HowWide({ fileName, upright, onWidth, onLeave }: HowWideProps) {
  const ticket = useTicket('design');
  const shelf = useShelf();
  const units = useUnits();
  return (
    <Callout tone="tape" gap={8} role="group" aria-label="How wide is it to be?">
      <Txt as="strong">{`${fileName} does not say how large it is. How wide is it to be?`}</Txt>
      <View style={{ gap: 6 }}>
        {possibleWidths(upright, shelf.hoops, ticket.design).map(({ mm, why }) => (
          <Press
            key={mm}
            title={`${sides({ widthMm: mm, heightMm: mm * upright }, units)}: ${say(why, units)}`}
            onPress={() => onWidth(mm)}
          />
        ))}
      </View>
      <LengthField label="another width" at="design.widthMm" mm={null} onLength={onWidth} stepper={false} />
      <Press kind="link" title="Leave it" onPress={onLeave} />
    </Callout>
  );
}
