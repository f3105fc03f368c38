import { formatLength, type Hoop, type Machine, type Material, type Shelf, type Thread } from '@zt/core';
import { type ReactNode, useState } from 'react';
import { Pressable, View } from 'react-native';
import { BenchNav } from '../../components/BenchNav';
import { SaveWord } from '../../components/SaveWord';
import { UndoBar } from '../../components/UndoBar';
import { Press } from '../../components/ui/Press';
import { Screen } from '../../components/ui/Screen';
import { Txt } from '../../components/ui/Txt';
import { UnitsToggle } from '../../components/ui/UnitsToggle';
import { newId } from '../../hooks/newId';
import { saveStateOf, useShop } from '../../hooks/useShop';
import { type ShelfNoun, usePutItemMutation, useRemoveItemMutation } from '../../services/api';
import { usePalette } from '../../theme/palette';
import { HoopForm } from './HoopForm';
import { MachineForm } from './MachineForm';
import { MaterialForm } from './MaterialForm';
import { ThreadForm } from './ThreadForm';

type Item = Shelf[ShelfNoun][number];
interface Removed {
  noun: ShelfNoun;
  item: Item;
}

function Row({
  title,
  detail,
  aside,
  onPress,
  open,
  children,
}: {
  title: string;
  detail: string;
  aside?: ReactNode;
  onPress: () => void;
  open: boolean;
  children: ReactNode;
}) {
  const p = usePalette();
  return (
    <View style={{ borderBottomWidth: 1, borderColor: p.hairline }}>
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`${title}: ${detail}`}
        onPress={onPress}
        style={{ flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 56, paddingVertical: 6 }}
      >
        {aside}
        <View style={{ flex: 1 }}>
          <Txt as="strong">{title}</Txt>
          <Txt as="small" tone="graphite">
            {detail}
          </Txt>
        </View>
      </Pressable>
      {open ? <View style={{ padding: 12, gap: 10, backgroundColor: p.shade }}>{children}</View> : null}
    </View>
  );
}

/** A small picture to one scale: field inside ring, or a swatch. */
function Picture({
  width,
  height,
  inner,
  round,
  fill,
}: {
  width: number;
  height: number;
  inner?: { width: number; height: number };
  round?: boolean;
  fill?: string;
}) {
  const p = usePalette();
  const scale = 1 / 8.2;
  return (
    <View style={{ width: 56, height: 56, alignItems: 'center', justifyContent: 'center' }}>
      <View
        style={{
          width: width * scale,
          height: height * scale,
          borderWidth: 2,
          borderColor: p.ink,
          borderRadius: round ? 40 : 4,
          alignItems: 'center',
          justifyContent: 'center',
          backgroundColor: fill ?? 'transparent',
        }}
      >
        {inner ? (
          <View
            style={{
              width: inner.width * scale,
              height: inner.height * scale,
              borderWidth: 1,
              borderColor: p.chalk,
              borderRadius: round ? 40 : 1,
              borderStyle: 'dashed',
            }}
          />
        ) : null}
      </View>
    </View>
  );
}

const NEW: { [N in ShelfNoun]: () => Shelf[N][number] } = {
  hoops: (): Hoop => ({
    id: newId(),
    name: 'New hoop',
    fieldWidthMm: 100,
    fieldHeightMm: 100,
    round: false,
    ringWidthMm: 132,
    ringHeightMm: 140,
    kind: 'screw',
    bracket: 'left',
    machineIds: [],
  }),
  machines: (): Machine => ({
    id: newId(),
    name: 'New machine',
    needles: 1,
    bed: 'flat',
    bodySide: 'right',
    throatMm: 200,
    stitchesPerMinute: 600,
    trims: true,
    needleHours: 0,
    bobbinMetres: 70,
  }),
  materials: (): Material => ({
    id: newId(),
    name: 'New roll',
    type: 'tear-away',
    widthMm: 500,
    metresLeft: 5,
  }),
  threads: (): Thread => ({
    id: newId(),
    name: 'new thread',
    hex: '#59626E',
    weight: 40,
    fibre: 'polyester',
    metresLeft: 500,
  }),
};

const NOUNS: readonly { noun: ShelfNoun; title: string; one: string }[] = [
  { noun: 'machines', title: 'Machines', one: 'a machine' },
  { noun: 'hoops', title: 'Hoops', one: 'a hoop' },
  { noun: 'materials', title: 'Stabilizers and films', one: 'a roll' },
  { noun: 'threads', title: 'Threads', one: 'a thread' },
];

/** What the shop owns: machines, hoops, stabilizers, threads. */
export function ShelfScreen() {
  const { shelf, units, setUnits } = useShop();
  const [put, putting] = usePutItemMutation({ fixedCacheKey: 'shelf' });
  const [remove] = useRemoveItemMutation();
  const [open, setOpen] = useState<string | null>(null);
  const [removed, setRemoved] = useState<Removed | null>(null);
  const save = (noun: ShelfNoun) => (item: Item) => void put({ noun, item });
  const takeOff = (noun: ShelfNoun, item: Item) => {
    void remove({ noun, id: item.id });
    setRemoved({ noun, item });
    setOpen(null);
  };
  const addNew = (noun: ShelfNoun) => {
    const item = NEW[noun]();
    void put({ noun, item });
    setOpen(item.id);
  };
  const length = (mm: number) => formatLength(mm, units);
  const rowOf = (noun: ShelfNoun, item: Item) => {
    const common = { open: open === item.id, onPress: () => setOpen(open === item.id ? null : item.id) };
    const off = <Press kind="link" title="Take it off the shelf" onPress={() => takeOff(noun, item)} />;
    if (noun === 'hoops') {
      const hoop = item as Hoop;
      return (
        <Row
          key={hoop.id}
          {...common}
          title={hoop.name}
          detail={`field ${length(hoop.fieldWidthMm)} × ${length(hoop.fieldHeightMm)}, ${hoop.kind}`}
          aside={
            <Picture
              width={hoop.ringWidthMm}
              height={hoop.ringHeightMm}
              inner={{ width: hoop.fieldWidthMm, height: hoop.fieldHeightMm }}
              round={hoop.round}
            />
          }
        >
          <HoopForm hoop={hoop} machines={shelf.machines} units={units} onHoop={save(noun)} />
          {off}
        </Row>
      );
    }
    if (noun === 'machines') {
      const machine = item as Machine;
      return (
        <Row
          key={machine.id}
          {...common}
          title={machine.name}
          detail={`${machine.needles} ${machine.needles === 1 ? 'needle' : 'needles'}, throat ${length(machine.throatMm)}, ${machine.stitchesPerMinute} a minute`}
        >
          <MachineForm machine={machine} units={units} onMachine={save(noun)} />
          {off}
        </Row>
      );
    }
    if (noun === 'materials') {
      const material = item as Material;
      return (
        <Row
          key={material.id}
          {...common}
          title={material.name}
          detail={`${material.metresLeft} m left, ${length(material.widthMm)} wide`}
        >
          <MaterialForm material={material} units={units} onMaterial={save(noun)} />
          {off}
        </Row>
      );
    }
    const thread = item as Thread;
    return (
      <Row
        key={thread.id}
        {...common}
        title={thread.name}
        detail={`${thread.weight} wt ${thread.fibre}, ${thread.metresLeft} m`}
        aside={<Picture width={300} height={300} fill={thread.hex} />}
      >
        <ThreadForm thread={thread} onThread={save(noun)} />
        {off}
      </Row>
    );
  };
  return (
    <View style={{ flex: 1 }}>
      <Screen
        title="Shelf"
        subtitle="What you own"
        aside={
          <>
            <SaveWord state={saveStateOf(putting)} />
            <UnitsToggle units={units} onUnits={setUnits} />
          </>
        }
      >
        {removed ? (
          <UndoBar
            text={`${removed.item.name} is off the shelf.`}
            onPutBack={() => {
              void put(removed);
              setRemoved(null);
            }}
          />
        ) : null}
        {putting.isError ? (
          <Txt tone="madder" live>
            That was not saved: a figure is out of bounds. The shelf is as it was.
          </Txt>
        ) : null}
        {NOUNS.map(({ noun, title, one }) => (
          <View key={noun}>
            <View style={{ flexDirection: 'row', alignItems: 'center', gap: 12 }}>
              <View style={{ flex: 1 }}>
                <Txt as="heading" level={2}>{`${title}: ${shelf[noun].length}`}</Txt>
              </View>
              <Press title={`Add ${one}`} onPress={() => addNew(noun)} />
            </View>
            {(shelf[noun] as readonly Item[]).map((item) => rowOf(noun, item))}
          </View>
        ))}
      </Screen>
      <BenchNav />
    </View>
  );
}
