import { type ReactNode, useState } from 'react';
import { Pressable, View } from 'react-native';
import { usePalette } from '../../theme/palette';
import { Txt } from './Txt';

interface DisclosureProps {
  title: string;
  label?: string;
  children: ReactNode;
  startOpen?: boolean;
}

/** A dotted word that opens what it speaks of, below it. */
export function Disclosure({ title, label, children, startOpen = false }: DisclosureProps) {
  const p = usePalette();
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
      {open ? (
        <View
          style={{ backgroundColor: p.shade, borderLeftWidth: 4, borderColor: p.tape, padding: 12, gap: 6 }}
        >
          {children}
        </View>
      ) : null}
    </View>
  );
}
