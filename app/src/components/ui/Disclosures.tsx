import type { ReactNode } from 'react';
import { View } from 'react-native';

/** Words that open something, beside one another as far as there is room. */
export function Disclosures({ children }: { children: ReactNode }) {
  return <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>{children}</View>;
}
