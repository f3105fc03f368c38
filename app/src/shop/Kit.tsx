import { HOOP_PRESETS, hoopOf } from '@zt/core/catalogue/presets';
import {
  MACHINE_SORTS,
  machineOfSort,
  rollOf,
  USUAL_ROLLS,
  type UsualRoll,
  usualKit,
} from '@zt/core/catalogue/usualKit';
import type { Shelf, ShelfNoun } from '@zt/core/model/shelf';
import { type ReactNode, useRef } from 'react';
import { Pressable } from 'react-native';
import Svg, { Circle, Ellipse, Path, Rect } from 'react-native-svg';
import { v7 as newId } from 'uuid';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Txt } from '../components/ui/Txt';
import { changeShelf, putBackOnShelf, putItem, takeOffShelf } from '../store/shopActs';
import { useAppDispatch } from '../store/store';
import { type Palette, usePalette } from '../theme/palette';
import { useShop } from './useShop';

interface PictureProps {
  name: string;
  /** Whether it lies on the shelf. */
  on: boolean;
  onToggle: () => void;
  width: number;
  children: ReactNode;
}

/** Something that a shop may have, drawn: a tap says that it is there, another that it is not. */
function ToHave({ name, on, onToggle, width, children }: PictureProps) {
  const p = usePalette();
  return (
    <Pressable
      role="checkbox"
      aria-checked={on}
      aria-label={name}
      onPress={onToggle}
      style={{
        width,
        padding: 6,
        gap: 4,
        alignItems: 'center',
        justifyContent: 'flex-end',
        borderWidth: on ? 3 : 1.5,
        borderColor: on ? p.ink : p.hairline,
        borderRadius: 6,
        backgroundColor: on ? p.shade : p.panel,
      }}
    >
      {children}
      <Txt as="label" style={{ textAlign: 'center' }}>{`${on ? '✓ ' : ''}${name}`}</Txt>
    </Pressable>
  );
}

/**
 * Puts something on the shelf, or takes it off. What was taken off here is put back as it was, with all that had been
 * measured of it: a second tap undoes the first.
 */
function usePutOn<N extends ShelfNoun>(noun: N) {
  const dispatch = useAppDispatch();
  const taken = useRef(new Map<string, Shelf[N][number]>());
  return (key: string, has: Shelf[N][number] | undefined, add: () => void) => {
    const was = taken.current.get(key);
    if (has) {
      taken.current.set(key, has);
      dispatch(takeOffShelf(noun, has.id));
    } else if (was) dispatch(putBackOnShelf(noun, was));
    else add();
  };
}

const HOOP_SCALE = 0.26;
const ROOM = 6;

/** Which hoops are there? The usual ones, to one scale; a tap puts one on the shelf. */
export function WhichHoops() {
  const { shelf } = useShop();
  const dispatch = useAppDispatch();
  const putOn = usePutOn('hoops');
  const p = usePalette();
  return (
    <Row wrap role="group" aria-label="Hoops that came with it" align="end">
      {HOOP_PRESETS.map((preset) => {
        const [width, height] = preset.field;
        const has = shelf.hoops.find(
          (h) => h.fieldWidthMm === width && h.fieldHeightMm === height && h.kind === preset.kind,
        );
        const made = hoopOf(preset, 'picture-of-a-hoop', []);
        const [w, h] = [made.ringWidthMm * HOOP_SCALE, made.ringHeightMm * HOOP_SCALE];
        const add = () =>
          dispatch(
            putItem(
              'hoops',
              hoopOf(
                preset,
                newId(),
                shelf.machines.map(({ id }) => id),
              ),
            ),
          );
        return (
          <ToHave
            key={made.name}
            name={made.name}
            on={has !== undefined}
            onToggle={() => putOn(made.name, has, add)}
            width={Math.max(96, w + 3 * ROOM)}
          >
            <Svg width={w + ROOM} height={h + ROOM} aria-hidden>
              {preset.round ? (
                <>
                  <Ellipse
                    cx={(w + ROOM) / 2}
                    cy={(h + ROOM) / 2}
                    rx={w / 2}
                    ry={h / 2}
                    fill="none"
                    stroke={p.ink}
                    strokeWidth={2}
                  />
                  <Circle
                    cx={(w + ROOM) / 2}
                    cy={(h + ROOM) / 2}
                    r={(width * HOOP_SCALE) / 2}
                    fill="none"
                    stroke={p.chalk}
                    strokeDasharray="4 3"
                  />
                </>
              ) : (
                <>
                  <Rect
                    x={ROOM / 2}
                    y={ROOM / 2}
                    width={w}
                    height={h}
                    rx={6}
                    fill="none"
                    stroke={p.ink}
                    strokeWidth={2}
                  />
                  <Rect
                    x={(w + ROOM - width * HOOP_SCALE) / 2}
                    y={(h + ROOM - height * HOOP_SCALE) / 2}
                    width={width * HOOP_SCALE}
                    height={height * HOOP_SCALE}
                    fill="none"
                    stroke={p.chalk}
                    strokeDasharray="4 3"
                  />
                </>
              )}
            </Svg>
          </ToHave>
        );
      })}
    </Row>
  );
}

/** A machine by what is seen of it: its bed or arm, and its needles. */
function MachinePicture({ bed, needles, p }: { bed: string; needles: number; p: Palette }) {
  const arm = bed === 'free arm';
  const shown = Math.min(4, needles);
  return (
    <Svg width={96} height={80} viewBox="0 0 96 80" aria-hidden>
      <Path
        d={arm ? 'M16 14H70V30H84V72H62V58H34' : 'M10 14H84V66H10V56H62V30H10Z'}
        fill={p.shade}
        stroke={p.ink}
        strokeWidth={2}
        strokeLinejoin="round"
      />
      {Array.from({ length: shown }, (_, i) => (
        <Path key={i} d={`M${22 + i * 9} 30v14`} stroke={p.ink} strokeWidth={2.5} />
      ))}
      <Path d="M12 50h44" stroke={p.chalk} strokeWidth={4} />
    </Svg>
  );
}

/** What is it? A machine by its traits, with figures that are usual for such a one. */
export function WhichMachine() {
  const { shelf } = useShop();
  const dispatch = useAppDispatch();
  const putOn = usePutOn('machines');
  const p = usePalette();
  return (
    <Row wrap role="group" aria-label="Your machine">
      {MACHINE_SORTS.map((sort) => {
        const { name, traits } = sort;
        const has = shelf.machines.find((m) => m.bed === traits.bed && m.needles > 1 === traits.needles > 1);
        const add = () => {
          const machine = machineOfSort(sort, newId());
          // Hoops that were there before a machine was said go on it.
          const hoops = shelf.hoops.filter(({ machineIds }) => machineIds.length === 0);
          dispatch(
            changeShelf({
              put: [
                { noun: 'machines', item: machine },
                ...hoops.map((hoop) => ({
                  noun: 'hoops' as const,
                  item: { ...hoop, machineIds: [machine.id] },
                })),
              ],
            }),
          );
        };
        return (
          <ToHave
            key={sort.id}
            name={name}
            on={has !== undefined}
            onToggle={() => putOn(sort.id, has, add)}
            width={112}
          >
            <MachinePicture bed={traits.bed} needles={traits.needles} p={p} />
          </ToHave>
        );
      })}
    </Row>
  );
}

const nameOfRoll = (type: UsualRoll): string => rollOf(type, 'picture-of-a-roll').name;

/** What lies on the shelf? The rolls that most shops have. */
export function WhichRolls() {
  const { shelf } = useShop();
  const dispatch = useAppDispatch();
  const putOn = usePutOn('materials');
  const p = usePalette();
  return (
    <Row wrap role="group" aria-label="Rolls on the shelf">
      {USUAL_ROLLS.map((type) => {
        const has = shelf.materials.find((material) => material.type === type);
        return (
          <ToHave
            key={type}
            name={nameOfRoll(type)}
            on={has !== undefined}
            onToggle={() => putOn(type, has, () => dispatch(putItem('materials', rollOf(type, newId()))))}
            width={112}
          >
            <Svg width={72} height={40} aria-hidden>
              <Path d="M12 6H60V34H12" fill={p.paper} stroke={p.ink} strokeWidth={2} />
              <Ellipse cx={12} cy={20} rx={6} ry={14} fill={p.shade} stroke={p.ink} strokeWidth={2} />
              <Ellipse cx={12} cy={20} rx={2} ry={5} fill={p.ink} />
            </Svg>
          </ToHave>
        );
      })}
    </Row>
  );
}

/** The kit that most begin with, in one tap; marked as taken as usual until somebody looks. */
export function UsualKit() {
  const dispatch = useAppDispatch();
  const take = () => {
    const { machine, hoops, materials } = usualKit(newId);
    dispatch(
      changeShelf({
        put: [
          { noun: 'machines', item: machine },
          ...hoops.map((item) => ({ noun: 'hoops' as const, item })),
          ...materials.map((item) => ({ noun: 'materials' as const, item })),
        ],
      }),
    );
  };
  return <Press title="Take the usual kit" onPress={take} />;
}
