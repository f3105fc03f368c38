import { type ReactNode, useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { usePalette } from '../../theme/palette';

const NAME = 'sheet-share';
const USUAL = 64;
const [LEAST, MOST] = [35, 78];
const STEP = 4;
/** The second one is read, and has buttons: it is never narrower. */
const LEAST_SECOND_PX = 300;
const within = (share: number): number => Math.round(Math.min(MOST, Math.max(LEAST, share)));
const keptShare = (): number => within(Number(localStorage.getItem(NAME)) || USUAL);

/** Two things side by side; the line between them is dragged, or moved by arrow keys, and stays so on this device. */
export function Split({ first, second }: { first: ReactNode; second: ReactNode }) {
  const p = usePalette();
  const [share, setShare] = useState(keptShare);
  const row = useRef<View>(null);
  const line = useRef<View>(null);
  useEffect(() => {
    const element = line.current as unknown as HTMLElement;
    const whole = row.current as unknown as HTMLElement;
    const put = (next: number) => {
      const kept = within(next);
      setShare(kept);
      localStorage.setItem(NAME, String(kept));
    };
    const move = (event: PointerEvent) => {
      const { left, width } = whole.getBoundingClientRect();
      put(((event.clientX - left) / width) * 100);
    };
    const up = () => element.removeEventListener('pointermove', move);
    const down = (event: PointerEvent) => {
      element.setPointerCapture(event.pointerId);
      element.addEventListener('pointermove', move);
    };
    const key = (event: KeyboardEvent) => {
      const by = { ArrowLeft: -STEP, ArrowRight: STEP }[event.key];
      if (by === undefined) return;
      event.preventDefault();
      put(keptShare() + by);
    };
    element.style.touchAction = 'none';
    element.addEventListener('pointerdown', down);
    element.addEventListener('pointerup', up);
    element.addEventListener('pointercancel', up);
    element.addEventListener('keydown', key);
    return () => {
      up();
      element.removeEventListener('pointerdown', down);
      element.removeEventListener('pointerup', up);
      element.removeEventListener('pointercancel', up);
      element.removeEventListener('keydown', key);
    };
  }, []);
  return (
    <View ref={row} style={{ flex: 1, minHeight: 0, flexDirection: 'row' }}>
      <View style={{ width: `${share}%`, flexShrink: 1 }}>{first}</View>
      <View
        ref={line}
        role="separator"
        aria-label="Width of the sheet"
        aria-valuemin={LEAST}
        aria-valuemax={MOST}
        aria-valuenow={share}
        tabIndex={0}
        style={{
          width: 10,
          marginLeft: -5,
          marginRight: -5,
          zIndex: 1,
          cursor: 'pointer',
          alignItems: 'center',
        }}
      >
        <View style={{ flex: 1, width: 1.5, backgroundColor: p.ink }} />
      </View>
      <View style={{ flex: 1, minHeight: 0, minWidth: LEAST_SECOND_PX }}>{second}</View>
    </View>
  );
}
