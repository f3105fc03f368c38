import { createElement } from 'react';
import { TARGET } from '../../theme/layout';
import { usePalette } from '../../theme/palette';

interface ScrubProps {
  label: string;
  /** What the place means, for those who listen. */
  said: string;
  value: number;
  most: number;
  onChange: (value: number) => void;
}

/** A place on a line, by finger or by keys. */
export function Scrub({ label, said, value, most, onChange }: ScrubProps) {
  const p = usePalette();
  return createElement('input', {
    type: 'range',
    'aria-label': label,
    'aria-valuetext': said,
    min: 0,
    max: most,
    value,
    onChange: (event: { target: { value: string } }) => onChange(Number(event.target.value)),
    style: { flex: 1, minWidth: 0, height: TARGET, margin: 0, accentColor: p.chalk, touchAction: 'pan-y' },
  });
}
