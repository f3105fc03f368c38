import { type DisplayUnits, formatLength } from '@zt/core/base/units/length';
import type { Hoop } from '@zt/core/model/shelf';
import { hoopKindOf } from '@zt/core/stages/hoop/kinds/index';
import type { RingPicture } from '@zt/core/table/deck/step';
import type { ReactNode } from 'react';
import { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { FigureTag } from '../../sheet/layers/marks';
import { FONTS } from '../../theme/fonts';
import type { Palette } from '../../theme/palette';

/** What a scene is drawn from. */
export interface Scene {
  hoop: Hoop;
  cut: { widthMm: number; heightMm: number } | null;
  units: DisplayUnits;
  p: Palette;
  /** Half the ring's sides and the wall as drawn, px from the middle. */
  w: number;
  h: number;
  wall: number;
  /** Half the drawing's width, px. */
  edge: number;
}

const STROKE = 2.4;

function ringPath(w: number, h: number, round: boolean): string {
  if (round) return `M${-w} 0a${w} ${h} 0 1 1 ${2 * w} 0a${w} ${h} 0 1 1 ${-2 * w} 0Z`;
  const r = Math.min(w, h) * 0.16;
  return `M${-w + r} ${-h}H${w - r}Q${w} ${-h} ${w} ${-h + r}V${h - r}Q${w} ${h} ${w - r} ${h}H${-w + r}Q${-w} ${h} ${-w} ${h - r}V${-h + r}Q${-w} ${-h} ${-w + r} ${-h}Z`;
}

/** Ring, inner ring, notches at the four middles. */
function Ring({ s, faint = false }: { s: Scene; faint?: boolean }) {
  const { p, w, h, wall, hoop } = s;
  return (
    <G opacity={faint ? 0.35 : 1}>
      <Path d={ringPath(w, h, hoop.round)} fill="none" stroke={p.ink} strokeWidth={STROKE} />
      <Path
        d={ringPath(w - wall, h - wall, hoop.round)}
        fill="none"
        stroke={p.ink}
        strokeWidth={STROKE / 2}
      />
      {[
        [0, -h],
        [w, 0],
        [0, h],
        [-w, 0],
      ].map(([x = 0, y = 0]) => (
        <Path
          key={`${x} ${y}`}
          d={`M${x - 6} ${y}L${x} ${y - 6}L${x + 6} ${y}L${x} ${y + 6}Z`}
          fill={p.ink}
        />
      ))}
    </G>
  );
}

function Words({ x, y, text, p }: { x: number; y: number; text: string; p: Palette }) {
  return (
    <SvgText x={x} y={y} fontSize={15} fontFamily={FONTS.bold} textAnchor="middle" fill={p.ink}>
      {text}
    </SvgText>
  );
}

function Arrow({ d, p, colour }: { d: string; p: Palette; colour?: string }) {
  return (
    <Path
      d={d}
      stroke={colour ?? p.chalk}
      strokeWidth={4}
      fill="none"
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  );
}

const up = (x: number, y: number, length: number) =>
  `M${x} ${y}V${y - length}M${x - 9} ${y - length + 10}L${x} ${y - length}L${x + 9} ${y - length + 10}`;

/** Ring and layers cut through from the side. */
function Section({ s, children }: { s: Scene; children?: ReactNode }) {
  const { p, w } = s;
  const block = (x: number, y: number, height: number, fill: string) => (
    <Rect x={x} y={y} width={26} height={height} fill={fill} stroke={p.ink} strokeWidth={STROKE} rx={3} />
  );
  return (
    <G>
      {block(-w - 13, -34, 68, p.shade)}
      {block(w - 13, -34, 68, p.shade)}
      {children}
    </G>
  );
}

/** A drawing for each step of the ring's ritual, about its middle. */
export const SCENES: Record<Exclude<RingPicture, 'notches'>, (s: Scene) => ReactNode> = {
  sheet: (s) => {
    const { p, w, h, hoop, cut, units } = s;
    const [sw, sh] = [
      (w * (cut?.widthMm ?? hoop.ringWidthMm)) / hoop.ringWidthMm,
      (h * (cut?.heightMm ?? hoop.ringHeightMm)) / hoop.ringHeightMm,
    ];
    return (
      <G>
        <Rect
          x={-sw}
          y={-sh}
          width={2 * sw}
          height={2 * sh}
          fill={p.panel}
          stroke={p.ink}
          strokeDasharray="7 5"
          strokeWidth={2}
        />
        <Ring s={s} faint />
        <FigureTag x={0} y={-sh} text={formatLength(cut?.widthMm ?? 0, units)} size={16} />
        <FigureTag
          x={Math.min(sw, s.edge - 44)}
          y={0}
          text={formatLength(cut?.heightMm ?? 0, units)}
          size={16}
        />
      </G>
    );
  },
  arrows: (s) => (
    <G>
      <Ring s={s} />
      <Arrow d={up(0, s.h - 8, 34)} p={s.p} />
      <Arrow d={up(0, -s.h + s.wall + 46, 34)} p={s.p} />
      <Words x={0} y={6} text={hoopKindOf(s.hoop).arrows} p={s.p} />
    </G>
  ),
  loosen: (s) => (
    <G>
      <Ring s={s} />
      <Rect
        x={-14}
        y={s.h - 2}
        width={28}
        height={22}
        rx={4}
        fill={s.p.shade}
        stroke={s.p.ink}
        strokeWidth={2}
      />
      <Arrow d={`M${-38} ${s.h + 20}a40 26 0 0 0 76 0m-4 -12l5 12l-14 4`} p={s.p} />
      <Words x={0} y={6} text="open it wide" p={s.p} />
    </G>
  ),
  inside: (s) => (
    <Section s={s}>
      <Line x1={-s.w - 60} y1={-40} x2={s.w + 60} y2={-40} stroke={s.p.chalk} strokeWidth={6} />
      <Path
        d={`M${-s.w - 60} -40C${-s.w - 90} 60 ${-s.w} 92 0 92S${s.w + 90} 60 ${s.w + 60} -40`}
        fill="none"
        stroke={s.p.chalk}
        strokeWidth={4}
        strokeDasharray="9 6"
      />
      <Words x={0} y={-54} text="the layer that is stitched" p={s.p} />
      <Words x={0} y={78} text="all the rest hangs below" p={s.p} />
    </Section>
  ),
  sides: (s) => (
    <G>
      <Ring s={s} />
      {[
        [0, -s.h, '1'],
        [-s.w, 0, '2'],
        [s.w, 0, '2'],
        [0, s.h, '3'],
      ].map(([x, y, text]) => (
        <FigureTag key={`${x} ${y}`} x={Number(x)} y={Number(y)} text={String(text)} size={22} />
      ))}
    </G>
  ),
  flush: (s) => (
    <Section s={s}>
      {[-s.w + 16, s.w - 40].map((x) => (
        <Rect
          key={x}
          x={x}
          y={-22}
          width={24}
          height={68}
          rx={3}
          fill={s.p.panel}
          stroke={s.p.ink}
          strokeWidth={STROKE}
        />
      ))}
      <Line x1={-s.w + 16} y1={48} x2={s.w - 16} y2={48} stroke={s.p.chalk} strokeWidth={5} />
      <Line
        x1={-s.w - 40}
        y1={34}
        x2={s.w + 40}
        y2={34}
        stroke={s.p.ink}
        strokeWidth={1}
        strokeDasharray="4 4"
      />
      <FigureTag x={0} y={-6} text="1 to 2 mm past" size={17} />
    </Section>
  ),
  drum: (s) => (
    <G>
      <Ring s={s} />
      {[-2, -1, 0, 1, 2].map((i) => (
        <G key={i}>
          <Line
            x1={(i * s.w) / 3}
            y1={-s.h + s.wall + 6}
            x2={(i * s.w) / 3}
            y2={s.h - s.wall - 6}
            stroke={s.p.hairline}
            strokeWidth={1.4}
          />
          <Line
            y1={(i * s.h) / 3}
            x1={-s.w + s.wall + 6}
            y2={(i * s.h) / 3}
            x2={s.w - s.wall - 6}
            stroke={s.p.hairline}
            strokeWidth={1.4}
          />
        </G>
      ))}
      <Circle cx={0} cy={0} r={14} fill="none" stroke={s.p.madder} strokeWidth={3} />
      <Circle cx={0} cy={0} r={26} fill="none" stroke={s.p.madder} strokeWidth={1.6} strokeDasharray="3 5" />
    </G>
  ),
  score: (s) => (
    <G>
      <Ring s={s} />
      <Path
        d={ringPath(s.w - s.wall - 9, s.h - s.wall - 9, s.hoop.round)}
        fill="none"
        stroke={s.p.madder}
        strokeWidth={2.4}
        strokeDasharray="8 5"
      />
      <Arrow
        d={`M${s.w - s.wall - 60} ${-s.h + s.wall + 56}L${s.w - s.wall - 12} ${-s.h + s.wall + 12}`}
        p={s.p}
        colour={s.p.ink}
      />
      <Words x={0} y={6} text="paper only" p={s.p} />
    </G>
  ),
  peel: (s) => (
    <G>
      <Ring s={s} />
      <Path
        d={ringPath(s.w - s.wall - 9, s.h - s.wall - 9, s.hoop.round)}
        fill={s.p.panel}
        stroke={s.p.ink}
        strokeWidth={1.2}
      />
      <Path
        d={`M0 0L${s.w * 0.55} ${-s.h * 0.1}Q${s.w * 0.5} ${-s.h * 0.5} 0 ${-s.h * 0.55}Z`}
        fill={s.p.shade}
        stroke={s.p.ink}
        strokeWidth={2}
      />
      <Arrow d={`M4 -4Q${s.w * 0.15} ${-s.h * 0.35} ${s.w * 0.42} ${-s.h * 0.42}`} p={s.p} />
    </G>
  ),
  roll: (s) => (
    <G>
      <Ring s={s} />
      <Path d={`M${s.w + 18} ${-s.h}V${s.h}h26V${-s.h}Z`} fill={s.p.shade} stroke={s.p.ink} strokeWidth={2} />
      <Path d={`M${s.w + 31} ${-s.h}V${s.h}`} stroke={s.p.ink} strokeWidth={1} strokeDasharray="5 4" />
      {[-0.5, 0.5].map((at) => (
        <Rect
          key={at}
          x={s.w + 10}
          y={at * s.h - 9}
          width={42}
          height={18}
          fill={s.p.tape}
          stroke={s.p.onTape}
        />
      ))}
      <Words x={0} y={6} text="rolled, taped" p={s.p} />
    </G>
  ),
  bracket: (s) => {
    const { hoop, w, h, p } = s;
    const at = { left: [-w, 0], right: [w, 0], back: [0, -h], front: [0, h] }[hoop.bracket];
    const [x = 0, y = 0] = at;
    const [bw, bh] = y === 0 ? [26, 84] : [84, 26];
    return (
      <G>
        <Ring s={s} />
        <Rect
          x={x - bw / 2 + Math.sign(x) * 18}
          y={y - bh / 2 + Math.sign(y) * 18}
          width={bw}
          height={bh}
          rx={4}
          fill={p.tape}
          stroke={p.onTape}
          strokeWidth={2}
        />
        <Words x={0} y={6} text={`bracket: ${hoop.bracket}`} p={p} />
      </G>
    );
  },
};
