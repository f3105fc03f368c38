import { type DisplayUnits, formatLength } from '@zt/core/base/units/length';
import { FABRICS } from '@zt/core/catalogue/fabrics';
import { USUAL_HOOP, USUAL_MACHINE } from '@zt/core/catalogue/presets';
import type { HouseRules } from '@zt/core/model/houseRules';
import type { Shelf, ShelfNoun } from '@zt/core/model/shelf';
import { PIECE_KINDS } from '@zt/core/stages/piece/kinds/index';
import { SUPPLIES } from '@zt/core/stock/supplies';
import type { ReactNode } from 'react';
import { amount, metres } from '../../components/figures';
import type { TableColumn } from '../../components/ui/Table';
import { WordsField } from '../../components/ui/WordsField';
import { newId } from '../../hooks/newId';
import { FabricForm } from './FabricForm';
import { HoopForm } from './HoopForm';
import { MachineForm } from './MachineForm';
import { MATERIAL_TYPES, MaterialForm } from './MaterialForm';
import { ItemPicture } from './Picture';
import { SupplyForm } from './SupplyForm';
import { ThreadFiles } from './ThreadFiles';
import { ThreadForm } from './ThreadForm';

type Item<N extends ShelfNoun> = Shelf[N][number];

/** How one noun of the shelf is shown, made and changed. */
interface NounView<N extends ShelfNoun> {
  title: string;
  /** What "Add …" says, and what it adds; null for what is kept from a ticket. */
  add: { one: string; make: () => Item<N> } | null;
  detail: (item: Item<N>, units: DisplayUnits) => string;
  aside?: (item: Item<N>) => ReactNode;
  /** What a table says of it on a wide screen, beside its name. */
  columns: (units: DisplayUnits) => readonly TableColumn<Item<N>>[];
  /** What stands above the list. */
  above?: () => ReactNode;
  form: (
    item: Item<N>,
    save: (item: Item<N>) => void,
    shop: { shelf: Shelf; rules: HouseRules; units: DisplayUnits },
  ) => ReactNode;
}

const nameForm = <T extends { name: string }>(item: T, save: (item: T) => void) => (
  <WordsField label="Name" at="name" value={item.name} onText={(name) => save({ ...item, name })} />
);
const firstCloth = FABRICS[0];

/** A column of words, sorted by them or by a figure. */
const column = <T,>(
  title: string,
  text: (item: T) => string,
  sortedBy: (item: T) => string | number = text,
): TableColumn<T> => ({ id: title, title, cell: text, sortedBy });

/** How many sheets and offcuts lie beside a roll. */
const looseOf = ({ loose }: Pick<Item<'materials'>, 'loose'>): number =>
  loose.reduce((sum, { count }) => sum + count, 0);
const readingsOf = ({ kind, readings }: Item<'blanks'>, units: DisplayUnits): string =>
  PIECE_KINDS[kind].readings
    .flatMap((r) => {
      const value = readings[r.id];
      return value === undefined ? [] : [`${r.name} ${formatLength(value, units)}`];
    })
    .join(', ');

/** Every noun of the shelf, in the order it is shown. */
export const NOUN_VIEWS: { [N in ShelfNoun]: NounView<N> } = {
  machines: {
    title: 'Machines',
    add: {
      one: 'a machine',
      make: () => ({ ...USUAL_MACHINE, id: newId(), name: 'New machine' }),
    },
    detail: (m, units) =>
      `${m.needles} ${m.needles === 1 ? 'needle' : 'needles'}, throat ${formatLength(m.throatMm, units)}, ${m.stitchesPerMinute} a minute`,
    columns: (units) => [
      column(
        'needles',
        (m) => String(m.needles),
        (m) => m.needles,
      ),
      column(
        'throat',
        (m) => formatLength(m.throatMm, units),
        (m) => m.throatMm,
      ),
      column(
        'stitches a minute',
        (m) => String(m.stitchesPerMinute),
        (m) => m.stitchesPerMinute,
      ),
    ],
    form: (machine, save, { rules }) => <MachineForm machine={machine} rules={rules} onMachine={save} />,
  },
  hoops: {
    title: 'Hoops',
    add: {
      one: 'a hoop',
      make: () => ({
        ...USUAL_HOOP,
        id: newId(),
        name: 'New hoop',
        fieldWidthMm: 100,
        fieldHeightMm: 100,
        round: false,
        ringWidthMm: 132,
        ringHeightMm: 140,
        kind: 'screw',
        machineIds: [],
      }),
    },
    detail: (h, units) =>
      `field ${formatLength(h.fieldWidthMm, units)} × ${formatLength(h.fieldHeightMm, units)}, ${h.kind}`,
    aside: (hoop) => (
      <ItemPicture
        width={hoop.ringWidthMm}
        height={hoop.ringHeightMm}
        inner={{ width: hoop.fieldWidthMm, height: hoop.fieldHeightMm }}
        round={hoop.round}
      />
    ),
    columns: (units) => [
      column(
        'field',
        (h) => `${formatLength(h.fieldWidthMm, units)} × ${formatLength(h.fieldHeightMm, units)}`,
        (h) => h.fieldWidthMm * h.fieldHeightMm,
      ),
      column(
        'ring',
        (h) => `${formatLength(h.ringWidthMm, units)} × ${formatLength(h.ringHeightMm, units)}`,
        (h) => h.ringWidthMm * h.ringHeightMm,
      ),
      column('kind', (h) => h.kind),
    ],
    form: (hoop, save, { shelf, units }) => (
      <HoopForm hoop={hoop} machines={shelf.machines} units={units} onHoop={save} />
    ),
  },
  materials: {
    title: 'Stabilizers and films',
    add: {
      one: 'a roll',
      make: () => ({
        id: newId(),
        name: 'New roll',
        type: 'tear-away',
        widthMm: 500,
        metresLeft: 5,
        loose: [],
      }),
    },
    detail: ({ widthMm, metresLeft, loose }, units) => {
      const sheets = looseOf({ loose });
      const roll = `${metres(metresLeft)} left, ${formatLength(widthMm, units)} wide`;
      const pile = `${sheets} ${sheets === 1 ? 'sheet or offcut' : 'sheets and offcuts'}`;
      return [...(widthMm > 0 ? [roll] : []), ...(sheets > 0 ? [pile] : [])].join('; ');
    },
    columns: (units) => [
      column('what it is', (m) => MATERIAL_TYPES.find(({ id }) => id === m.type)?.name ?? m.type),
      column(
        'roll',
        (m) => (m.widthMm > 0 ? formatLength(m.widthMm, units) : 'none'),
        (m) => m.widthMm,
      ),
      column(
        'left',
        (m) => metres(m.metresLeft),
        (m) => m.metresLeft,
      ),
      column('sheets, offcuts', (m) => String(looseOf(m)), looseOf),
    ],
    form: (material, save, { units }) => <MaterialForm material={material} units={units} onMaterial={save} />,
  },
  threads: {
    title: 'Threads',
    add: {
      one: 'a thread',
      make: () => ({
        id: newId(),
        name: 'new thread',
        hex: '#59626E',
        weight: 40,
        fibre: 'polyester',
        metresLeft: 500,
      }),
    },
    above: () => <ThreadFiles />,
    detail: (t) =>
      `${t.weight} wt ${t.fibre}, ${t.metresLeft === null ? 'metres not counted' : metres(t.metresLeft)}`,
    aside: (thread) => <ItemPicture width={300} height={300} fill={thread.hex} />,
    columns: () => [
      column(
        'weight',
        (t) => `${t.weight} wt`,
        (t) => t.weight,
      ),
      column('fibre', (t) => t.fibre),
      column(
        'left',
        (t) => (t.metresLeft === null ? 'not counted' : metres(t.metresLeft)),
        (t) => t.metresLeft ?? -1,
      ),
    ],
    form: (thread, save) => <ThreadForm thread={thread} onThread={save} />,
  },
  supplies: {
    title: 'Needles, bobbins, adhesives',
    add: {
      one: 'a supply',
      make: () => ({
        id: newId(),
        name: SUPPLIES['75-embroidery'].name,
        type: '75-embroidery',
        left: 5,
        machineId: null,
      }),
    },
    detail: (s) => `${amount(s.left, SUPPLIES[s.type].unit)} left`,
    columns: () => [
      column('what it is', (s) => SUPPLIES[s.type].name),
      column(
        'left',
        (s) => amount(s.left, SUPPLIES[s.type].unit),
        (s) => s.left,
      ),
    ],
    form: (supply, save, { shelf }) => (
      <SupplyForm supply={supply} machines={shelf.machines} onSupply={save} />
    ),
  },
  fabrics: {
    title: 'Our own cloths',
    add: {
      one: 'a cloth',
      make: () => {
        if (!firstCloth) throw new Error('assertion failed: the fabric library is empty');
        return { ...firstCloth, id: newId(), name: 'New cloth' };
      },
    },
    detail: (f) => `${f.structure}, ${f.weightGsm} g/m², ${f.stretchPercent} % stretch`,
    columns: () => [
      column('structure', (f) => f.structure),
      column(
        'weight',
        (f) => `${f.weightGsm} g/m²`,
        (f) => f.weightGsm,
      ),
      column(
        'stretch',
        (f) => `${f.stretchPercent} %`,
        (f) => f.stretchPercent,
      ),
    ],
    form: (fabric, save) => <FabricForm fabric={fabric} onFabric={save} />,
  },
  blanks: {
    title: 'Blanks we know',
    add: null,
    detail: (b, units) => `${PIECE_KINDS[b.kind].name}, ${readingsOf(b, units)}`,
    columns: (units) => [
      column('piece', (b) => PIECE_KINDS[b.kind].name),
      column('reads', (b) => readingsOf(b, units)),
    ],
    form: nameForm,
  },
  placements: {
    title: 'Our own places',
    add: null,
    detail: ({ base, offset }, units) => {
      const way = (mm: number, more: string, less: string) =>
        mm === 0 ? [] : [`${formatLength(Math.abs(mm), units)} ${mm > 0 ? more : less}`];
      return [
        base.replaceAll('-', ' '),
        ...way(offset.x, 'to the right', 'to the left'),
        ...way(offset.y, 'lower', 'higher'),
      ].join(', ');
    },
    columns: () => [column('taken from', ({ base }) => base.replaceAll('-', ' '))],
    form: nameForm,
  },
};
export const SHOWN_NOUNS = Object.keys(NOUN_VIEWS) as ShelfNoun[];
