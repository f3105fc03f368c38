import type { ReactNode } from 'react';
import { Text, type TextStyle } from 'react-native';

/** A figure with its unit: "13/16 in", "2 1/8 in", "40 mm". */
const FIGURE = /(\d[\d/.]*(?: \d+\/\d+)? (?:in|mm|cm|m|min|g|kg)\b)/;
// The web knows it; the types of the native side do not.
const ONE_LINE = { whiteSpace: 'nowrap' } as unknown as TextStyle;

/** A sentence whose figures stay on one line with their units. */
export const unbroken = (text: string): ReactNode[] =>
  text.split(FIGURE).map((part, i) =>
    i % 2 === 0 ? (
      part
    ) : (
      <Text key={i} style={ONE_LINE}>
        {part}
      </Text>
    ),
  );
