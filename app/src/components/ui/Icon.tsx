import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import Maximize from 'lucide-react-native/icons/maximize-2';
import Minus from 'lucide-react-native/icons/minus';
import Pause from 'lucide-react-native/icons/pause';
import Play from 'lucide-react-native/icons/play';
import Plus from 'lucide-react-native/icons/plus';
import Redo from 'lucide-react-native/icons/redo-2';
import Square from 'lucide-react-native/icons/square';
import SquareCheck from 'lucide-react-native/icons/square-check';
import Undo from 'lucide-react-native/icons/undo-2';
import X from 'lucide-react-native/icons/x';

/** Each from a file of its own: the whole set would weigh more than the rest of the app. */
const SIGNS = {
  all: Maximize,
  larger: Plus,
  smaller: Minus,
  back: ChevronLeft,
  close: X,
  undo: Undo,
  redo: Redo,
  ticked: SquareCheck,
  unticked: Square,
  play: Play,
  pause: Pause,
};

export type IconName = keyof typeof SIGNS;

/** A sign drawn as lines; what it means is said by whatever it stands on. */
export function Icon({ name, size, color }: { name: IconName; size: number; color: string }) {
  const Sign = SIGNS[name];
  return <Sign size={size} color={color} strokeWidth={2.2} aria-hidden />;
}
