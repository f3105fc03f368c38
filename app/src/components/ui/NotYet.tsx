import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { usePalette } from '../../theme/palette';
import { Stack } from './Stack';
import { Txt } from './Txt';

/** So long a page waits before it says that it waits for long, ms. */
const LATE_MS = 3000;

/** Whether it has taken long by now, counted from when this is first drawn. */
export function useIsLate(): boolean {
  const [isLate, setLate] = useState(false);
  useEffect(() => {
    const timer = setTimeout(setLate, LATE_MS, true);
    return () => clearTimeout(timer);
  }, []);
  return isLate;
}

interface LateWordProps {
  /** What still works until then. */
  meanwhile?: string;
}

/** Says once it takes long that the shop's computer has not answered, and what still works. */
export function LateWord({
  meanwhile = 'What you change is kept on this device until it does.',
}: LateWordProps) {
  const isLate = useIsLate();
  return isLate ? <Txt live>{`The shop’s computer has not answered yet. ${meanwhile}`}</Txt> : null;
}

/** Lines of a list that is not here, each as wide as a part of its room. */
const LINES = ['72%', '54%', '63%'] as const;

/** Stands where a list will: it is not known yet what is in it, which is not to be taken for nothing. */
export function NotYet() {
  const p = usePalette();
  return (
    <Stack gap={14}>
      <LateWord />
      {LINES.map((width) => (
        <View
          key={width}
          aria-hidden
          style={{ height: 56, justifyContent: 'center', borderBottomWidth: 1, borderColor: p.hairline }}
        >
          <View style={{ height: 12, width, borderRadius: 6, backgroundColor: p.shade }} />
        </View>
      ))}
    </Stack>
  );
}

/** In place of figures that are not known yet. */
export const LOADING = 'Loading…';
