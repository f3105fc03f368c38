import { Pressable } from 'react-native';
import { usePalette } from '../theme/palette';
import { Txt } from './ui/Txt';

interface OfferProps {
  title: string;
  /** What will be true, or why one would. */
  detail: string;
  /** What it costs, where it costs something. */
  cost?: string;
  tone?: 'moss' | 'graphite';
  onTake: () => void;
}

/** A way on that says what it brings. */
export function Offer({ title, detail, cost, tone = 'graphite', onTake }: OfferProps) {
  const p = usePalette();
  return (
    <Pressable
      role="button"
      aria-label={`${title}: ${detail}`}
      onPress={onTake}
      style={{
        minHeight: 48,
        borderWidth: 1.5,
        borderColor: p.ink,
        borderRadius: 6,
        backgroundColor: p.panel,
        paddingHorizontal: 12,
        paddingVertical: 6,
      }}
    >
      <Txt as="strong">{title}</Txt>
      <Txt as="small" tone={tone}>
        {detail}
      </Txt>
      {cost ? <Txt as="small" tone="graphite">{`Cost: ${cost}`}</Txt> : null}
    </Pressable>
  );
}
