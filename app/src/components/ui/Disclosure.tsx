import { type ReactNode, useState } from 'react';
import { Pressable, View } from 'react-native';
import { Callout } from './Callout';
import { Txt } from './Txt';

/** How far a closed one reaches into the room about it: a word with a finger’s height, not a line as high. */
const TUCK = -6;

interface DisclosureProps {
  title: string;
  label?: string;
  children: ReactNode;
  startOpen?: boolean;
}

/** A dotted word that opens what it speaks of, below it and as wide as there is room. */
export function Disclosure({ title, label, children, startOpen = false }: DisclosureProps) {
  const [open, setOpen] = useState(startOpen);
  return (
    <View style={{ gap: 6, maxWidth: '100%', ...(open ? { width: '100%' } : { marginVertical: TUCK }) }}>
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={label ?? title}
        onPress={() => setOpen(!open)}
        style={{ minHeight: 44, justifyContent: 'center', alignSelf: 'flex-start' }}
      >
        <Txt
          as="label"
          tone="chalk"
          style={{ textDecorationLine: 'underline', textDecorationStyle: 'dotted' }}
        >
          {open ? `${title.replace('?', '')}: close` : title}
        </Txt>
      </Pressable>
      {open ? <Callout tone="tape">{children}</Callout> : null}
    </View>
  );
}
