import {
  mdiCheckboxBlankOutline,
  mdiCheckboxMarked,
  mdiChevronLeft,
  mdiClose,
  mdiRedo,
  mdiUndo,
} from '@mdi/js';
import Svg, { Path } from 'react-native-svg';

const PATHS = {
  back: mdiChevronLeft,
  close: mdiClose,
  undo: mdiUndo,
  redo: mdiRedo,
  ticked: mdiCheckboxMarked,
  unticked: mdiCheckboxBlankOutline,
} as const;

export type IconName = keyof typeof PATHS;

/** A sign drawn as lines, on the 24 by 24 grid its package has; what it means is said by whatever it stands on. */
export function Icon({ name, size, color }: { name: IconName; size: number; color: string }) {
  return (
    <Svg width={size} height={size} viewBox="0 0 24 24" aria-hidden>
      <Path d={PATHS[name]} fill={color} />
    </Svg>
  );
}
