import { Pressable } from 'react-native';
import { Txt } from '../../components/ui/Txt';
import { LAMP, NIGHT, YELLOW } from './dark';

interface CardPressProps {
  title: string;
  label?: string;
  pressed?: boolean;
  main?: boolean;
  onPress: () => void;
}

/** A button on the dark of a card. */
export function CardPress({ title, label = title, pressed, main = false, onPress }: CardPressProps) {
  const lit = main || pressed;
  return (
    <Pressable
      role="button"
      aria-label={label}
      {...(pressed === undefined ? {} : { 'aria-pressed': pressed })}
      onPress={onPress}
      style={{
        minHeight: main ? 64 : 44,
        minWidth: 44,
        paddingHorizontal: 16,
        alignItems: 'center',
        justifyContent: 'center',
        borderRadius: 8,
        borderWidth: 2,
        borderColor: YELLOW,
        backgroundColor: lit ? YELLOW : NIGHT,
        ...(main ? { flex: 1 } : {}),
      }}
    >
      <Txt as={main ? 'heading' : 'label'} style={{ color: lit ? NIGHT : LAMP }}>
        {title}
      </Txt>
    </Pressable>
  );
}
