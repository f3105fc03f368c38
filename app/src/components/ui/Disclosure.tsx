import { type ReactNode, useState } from 'react';
import { Pressable, View } from 'react-native';
import { Callout } from './Callout';
import { Txt } from './Txt';

interface DisclosureProps {
  title: string;
  label?: string;
  children: ReactNode;
  startOpen?: boolean;
}

/** A dotted word that opens what it speaks of, below it. */
export function Disclosure({ title, label, children, startOpen = false }: DisclosureProps) {
  const [open, setOpen] = useState(startOpen);
  return (
    <View style={{ gap: 6, maxWidth: '100%' }}>
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
