import { fractionsOf, keyed, type TapeKey } from '@zt/core/base/units/keypad';
import { bareUnitOf, type DisplayUnits, MM_PER_INCH, parseLength } from '@zt/core/base/units/length';
import { type ReactNode, useEffect, useMemo, useRef, useState } from 'react';
import { Pressable, View } from 'react-native';
import Svg, { Line, Path } from 'react-native-svg';
import { useLow } from '../../theme/layout';
import { usePalette } from '../../theme/palette';
import { type InHand, KeypadContext } from './inHand';
import { Row } from './Row';
import { Stack } from './Stack';
import { Txt } from './Txt';

const KEY_PX = 56;
const SMALL_PX = 44;

/** The length that was last taken anywhere, as it was written. */
let last = '';

interface KeyProps {
  title: string;
  label?: string;
  main?: boolean;
  low?: boolean;
  onPress: () => void;
}

/** A key. It leaves the focus in the field, so that keys of a keyboard go there too. */
function Key({ title, label = title, main = false, low = false, onPress }: KeyProps) {
  const p = usePalette();
  const ref = useRef<View>(null);
  useEffect(() => {
    const element = ref.current as unknown as HTMLElement | null;
    const keepFocus = (event: Event) => event.preventDefault();
    element?.addEventListener('pointerdown', keepFocus);
    element?.addEventListener('mousedown', keepFocus);
    return () => {
      element?.removeEventListener('pointerdown', keepFocus);
      element?.removeEventListener('mousedown', keepFocus);
    };
  }, []);
  return (
    <Pressable
      ref={ref}
      role="button"
      aria-label={label}
      tabIndex={-1}
      onPress={onPress}
      style={{
        flex: 1,
        minWidth: SMALL_PX,
        height: low ? SMALL_PX : KEY_PX,
        alignItems: 'center',
        justifyContent: 'center',
        borderWidth: 1.5,
        borderRadius: 6,
        borderColor: p.ink,
        backgroundColor: main ? p.ink : p.panel,
        cursor: 'pointer',
      }}
    >
      <Txt as={low ? 'label' : 'heading'} tone={main ? 'onInk' : 'ink'}>
        {title}
      </Txt>
    </Pressable>
  );
}

const TAPE_HEIGHT = 30;
/** So much tape is drawn about the reading, mm. */
const ABOUT_MM = 60;

/** The tape where it is read: its marks, and a pointer at the length. */
function TapeAt({ mm, units, width }: { mm: number; units: DisplayUnits; width: number }) {
  const p = usePalette();
  const step = units.system === 'in' ? MM_PER_INCH / 8 : 5;
  const long = units.system === 'in' ? 8 : 10;
  const scale = width / ABOUT_MM;
  const first = Math.ceil((mm - ABOUT_MM / 2) / step);
  const count = Math.ceil(ABOUT_MM / step);
  const marks = Array.from({ length: count }, (_, i) => first + i).filter((n) => n >= 0);
  const height = (n: number) => (n % long === 0 ? 18 : n % (long / 2) === 0 ? 12 : 7);
  const x = (n: number) => (n * step - mm) * scale + width / 2;
  return (
    <Svg width={width} height={TAPE_HEIGHT} aria-hidden>
      <Path d={`M0 0H${width}V${TAPE_HEIGHT}H0Z`} fill={p.tape} />
      <Path
        d={marks.map((n) => `M${x(n).toFixed(1)} 0v${height(n)}`).join('')}
        stroke={p.onTape}
        strokeWidth={1.3}
      />
      <Line x1={width / 2} y1={0} x2={width / 2} y2={TAPE_HEIGHT} stroke={p.madder} strokeWidth={2.5} />
    </Svg>
  );
}

function Pad({ inHand }: { inHand: InHand }) {
  const p = usePalette();
  const [width, setWidth] = useState(0);
  const { label, text, why, units, onKey, onDone, onLetters } = inHand;
  const press = (key: TapeKey) => () => onKey((now) => keyed(now, key, units));
  const read = parseLength(text, bareUnitOf(units));
  const fractions = fractionsOf(units);
  const side = useLow();
  const digit = (d: string) => <Key key={d} title={d} low={side} onPress={press({ digit: d })} />;
  const fractionRows = side ? [fractions] : [fractions.slice(0, 4), fractions.slice(4)];
  const done = () => {
    if (read.ok) last = text;
    onDone();
  };
  return (
    <View
      role="group"
      aria-label={`Keys for ${label}`}
      testID="keypad"
      style={{
        position: 'absolute',
        left: 0,
        bottom: 0,
        padding: 8,
        gap: side ? 4 : 6,
        backgroundColor: p.shade,
        borderColor: p.ink,
        // On a phone on its side it lies over the sheet, and leaves the panel free.
        ...(side ? { top: 0, width: '50%', borderRightWidth: 1.5 } : { right: 0, borderTopWidth: 1.5 }),
      }}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width - 16)}
    >
      <Row align="baseline" spread>
        <Txt as="label" tone="graphite" lines={1}>
          {label}
        </Txt>
        <Txt as="figure" testID="keypad-text">
          {text || '–'}
        </Txt>
      </Row>
      {width > 0 ? <TapeAt mm={read.ok ? read.mm : 0} units={units} width={width} /> : null}
      {why && text !== '' ? (
        <Txt as="small" tone="madder" lines={2}>
          {why}
        </Txt>
      ) : null}
      {fractions.length > 0
        ? fractionRows.map((row) => (
            <Row key={row[0]} gap={side ? 2 : 6}>
              {row.map((fraction) => (
                <Key key={fraction} title={fraction} low onPress={press({ fraction })} />
              ))}
            </Row>
          ))
        : null}
      <Row gap={6}>
        <Stack gap={side ? 4 : 6} grow>
          <Row gap={6}>
            {digit('7')}
            {digit('8')}
            {digit('9')}
            <Key title="⌫" label="Back" low={side} onPress={press('back')} />
          </Row>
          <Row gap={6}>
            {digit('4')}
            {digit('5')}
            {digit('6')}
            <Key title="+" label="Plus another tape" low={side} onPress={press('plus')} />
          </Row>
          <Row gap={6}>
            {digit('1')}
            {digit('2')}
            {digit('3')}
            <Key title="half" label="Half of it" low={side} onPress={press('half')} />
          </Row>
          <Row gap={6}>
            <Key title="." label="Point" low={side} onPress={press('point')} />
            {digit('0')}
            <Key title="last" label="Same as last" low={side} onPress={() => onKey((now) => last || now)} />
            <Key title="Take" label="Take this length" main low={side} onPress={done} />
          </Row>
          <Row gap={6}>
            {(['in', 'cm', 'mm'] as const).map((unit) => (
              <Key key={unit} title={unit} low onPress={press({ unit })} />
            ))}
            <Key title="abc" label="Letters instead" low onPress={onLetters} />
          </Row>
        </Stack>
      </Row>
    </View>
  );
}

/** The page, with the tape keypad over its foot while a length is in the hand: the sheet above shows where it is read. */
export function WithKeypad({ children }: { children: ReactNode }) {
  const [inHand, setInHand] = useState<InHand | null>(null);
  const lend = useMemo(() => (next: InHand | null) => setInHand(next), []);
  return (
    <KeypadContext.Provider value={lend}>
      <View style={{ flex: 1, minHeight: 0 }}>{children}</View>
      {inHand ? <Pad inHand={inHand} /> : null}
    </KeypadContext.Provider>
  );
}
