import { nameOfColour } from '@zt/core/base/colour/colour';
import { createElement } from 'react';
import { Pressable } from 'react-native';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePalette } from '../../theme/palette';

interface ColourFieldProps {
  label: string;
  hex: string;
  onHex: (hex: string) => void;
}

const SWATCHES = [
  '#FAFAF7',
  '#EFE6D2',
  '#C9D6DF',
  '#DCE7DA',
  '#EBC9C4',
  '#E0B33A',
  '#5B86A8',
  '#1F3A5F',
  '#234A35',
  '#59626E',
  '#16181B',
];

/** A colour: common ones at a tap, any other by the browser's own picker. Named, never by colour alone. */
export function ColourField({ label, hex, onHex }: ColourFieldProps) {
  const p = usePalette();
  return (
    <Stack gap={6}>
      <Txt as="label" tone="graphite">{`${label}: ${nameOfColour(hex)}`}</Txt>
      <Row gap={6} wrap>
        {SWATCHES.map((swatch) => (
          <Pressable
            key={swatch}
            role="button"
            aria-label={`${label}: ${nameOfColour(swatch)}`}
            aria-pressed={swatch === hex}
            onPress={() => onHex(swatch)}
            style={{
              width: 44,
              height: 44,
              borderRadius: 6,
              backgroundColor: swatch,
              borderWidth: swatch === hex ? 4 : 1.5,
              borderColor: swatch === hex ? p.chalk : p.ink,
            }}
          />
        ))}
        {createElement('input', {
          type: 'color',
          value: hex,
          'aria-label': `${label}: another colour`,
          onChange: (event: { target: { value: string } }) => onHex(event.target.value),
          style: {
            width: 60,
            height: 44,
            border: `1.5px solid ${p.ink}`,
            borderRadius: 6,
            background: p.panel,
            padding: 2,
          },
        })}
      </Row>
    </Stack>
  );
}
