import { isCounted, withAmountsOf } from '@zt/core/ledger/amounts';
import { readerOf } from '@zt/core/model/houseRules';
import { isNameTaken, SHELF_ITEMS, type Shelf, type ShelfNoun } from '@zt/core/model/shelf';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { AmongPlaces } from '../../components/AmongPlaces';
import { SaveWord } from '../../components/SaveWord';
import { UndoBar } from '../../components/UndoBar';
import { FieldsContext } from '../../components/ui/fields';
import { LateTable } from '../../components/ui/LateTable';
import { NotYet, useIsLate } from '../../components/ui/NotYet';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Screen } from '../../components/ui/Screen';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { UnitsToggle } from '../../components/ui/UnitsToggle';
import { useThing } from '../../hooks/useThing';
import { History } from '../../shop/History';
import { OffersOn } from '../../shop/OffersOn';
import { SetAsideRows } from '../../shop/SetAsideRows';
import { useShop } from '../../shop/useShop';
import { putBackOnShelf, putItem, takeOffShelf } from '../../store/shopActs';
import { saveStateOf } from '../../store/shopNow';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { useBoard } from '../../theme/layout';
import { ItemOpener, ItemRow, OpenItem } from './ItemRow';
import { Ledger } from './Ledger';
import { NOUN_VIEWS, SHOWN_NOUNS } from './nouns';
import { ShoppingList, useShoppingList } from './ShoppingList';

type Item = Shelf[ShelfNoun][number];
interface Removed {
  noun: ShelfNoun;
  item: Item;
}

/** What is kept under a name, and found again by it. */
const NAMED_ONCE: readonly ShelfNoun[] = ['blanks', 'placements'];

/** What is said of an item that something was typed on which could not be taken. */
const notRead = ({ unread = {} }: Item): string[] =>
  Object.values(unread).map((text) => `“${text.slice(0, 40)}” is not used`);

interface NounListProps<N extends ShelfNoun> {
  noun: N;
  open: string | null;
  onOpen: (id: string | null) => void;
  onTakeOff: (removed: Removed) => void;
}

/** The form of one item: what is typed past its bounds stays with the item, and is not used. */
function ItemForm<N extends ShelfNoun>({ noun, item }: { noun: N; item: Shelf[N][number] }) {
  const { shelf, rules, units } = useShop();
  const dispatch = useAppDispatch();
  const { fields, put, refused } = useThing<Shelf[N][number]>({
    thing: item,
    reader: readerOf(rules),
    schema: SHELF_ITEMS[noun],
    // Whoever changes it has looked.
    onThing: ({ assumed: _, ...changed }) => dispatch(putItem(noun, changed as Shelf[N][number])),
  });
  return (
    <FieldsContext.Provider value={fields}>
      <OffersOn thing={item} schema={SHELF_ITEMS[noun]} onThing={put} />
      {item.assumed ? (
        <Row align="middle" wrap>
          <Stack grow>
            <Txt as="small">Taken as usual: look whether yours is so.</Txt>
          </Stack>
          <Press title="It is so" label={`${item.name} is so`} onPress={() => put(item)} />
        </Row>
      ) : null}
      {NOUN_VIEWS[noun].form(item, put, { shelf, rules, units })}
      {isCounted(noun) ? <Ledger noun={noun} item={item} /> : null}
      {refused ? (
        <Txt tone="madder" live>
          {refused}
        </Txt>
      ) : null}
      <History
        noun="shelf"
        id={item.id}
        schema={SHELF_ITEMS[noun]}
        now={item}
        today={(value) => withAmountsOf(noun, value, item)}
        onBringBack={put}
      />
    </FieldsContext.Provider>
  );
}

/** All of one noun, each a line that opens into its form. */
function NounList<N extends ShelfNoun>({ noun, open, onOpen, onTakeOff }: NounListProps<N>) {
  const { shelf, units } = useShop();
  const dispatch = useAppDispatch();
  const view = NOUN_VIEWS[noun];
  const items: readonly Shelf[N][number][] = shelf[noun];
  const { add } = view;
  const board = useBoard();
  const { aside } = view;
  const remarksOn = (item: Shelf[N][number]): string[] => [
    ...notRead(item),
    ...(item.assumed ? ['taken as usual'] : []),
    ...(Object.keys(item.offers ?? {}).length > 0 ? ['changed on two devices: say which'] : []),
    ...(NAMED_ONCE.includes(noun) && isNameTaken(items, item) ? ['another has this name'] : []),
  ];
  const detailOf = (item: Shelf[N][number]) => [view.detail(item, units), ...remarksOn(item)].join('; ');
  const opens = ({ id }: Shelf[N][number]) => ({
    open: open === id,
    onPress: () => onOpen(open === id ? null : id),
  });
  const formOf = (item: Shelf[N][number]) => (
    <>
      <ItemForm noun={noun} item={item} />
      <Press kind="link" title="Take it off the shelf" onPress={() => onTakeOff({ noun, item })} />
    </>
  );
  const addNew = () => {
    if (!add) return;
    const item = add.make();
    dispatch(putItem(noun, item));
    onOpen(item.id);
  };
  return (
    <View>
      <Row gap={12} align="middle">
        <Stack grow>
          <Txt as="heading" level={2}>{`${view.title}: ${items.length}`}</Txt>
        </Stack>
        {add ? <Press title={`Add ${add.one}`} onPress={addNew} /> : null}
      </Row>
      {!add && items.length === 0 ? (
        <Txt as="small" tone="graphite">
          Kept from a ticket, under the name you give it there.
        </Txt>
      ) : null}
      {view.above?.()}
      {board && items.length > 0 ? (
        <LateTable
          label={view.title}
          rows={items}
          keyOf={({ id }) => id}
          openerTitle="name"
          openerSortedBy={({ name }) => name.toLowerCase()}
          opener={(item) => (
            <ItemOpener
              title={item.name}
              detail={detailOf(item)}
              more={remarksOn(item).join('; ')}
              {...opens(item)}
            />
          )}
          columns={[
            ...(aside ? [{ id: 'picture', title: 'picture', px: 60, cell: aside }] : []),
            ...view.columns(units),
          ]}
          under={(item) => (open === item.id ? <OpenItem>{formOf(item)}</OpenItem> : null)}
        />
      ) : (
        items.map((item) => (
          <ItemRow
            key={item.id}
            title={item.name}
            detail={detailOf(item)}
            aside={aside?.(item)}
            {...opens(item)}
          >
            {formOf(item)}
          </ItemRow>
        ))
      )}
    </View>
  );
}

/** What will lie here, and the quick way to it. */
function NothingOwned({ onOneByOne }: { onOneByOne: () => void }) {
  const router = useRouter();
  return (
    <Stack gap={12}>
      <Txt>
        Here lie your machines, hoops, rolls, threads, needles and bobbins. Every ticket is planned with what
        is here, and what a piece takes is counted off.
      </Txt>
      <Row gap={12} wrap>
        <Press kind="main" title="Say what you work with" onPress={() => router.push('/first')} />
        <Press kind="link" title="Add one by one" onPress={onOneByOne} />
      </Row>
    </Stack>
  );
}

const shelfSaveState = saveStateOf('changeShelf');

/** What the shop owns and what it keeps for the next time. */
export function ShelfScreen() {
  const { shelf, units, setUnits } = useShop();
  const shopping = useShoppingList();
  // What the bench needs stands above what is owned: nothing moves once it is there, unless that takes long.
  const isLate = useIsLate();
  const isBenchKnown = shopping.lines !== null || isLate;
  const dispatch = useAppDispatch();
  const [isOneByOne, setIsOneByOne] = useState(false);
  const isBare = !isOneByOne && SHOWN_NOUNS.every((noun) => shelf[noun].length === 0);
  const saved = useAppSelector(shelfSaveState);
  const [open, setOpen] = useState<string | null>(null);
  const [removed, setRemoved] = useState<Removed | null>(null);
  const takeOff = (taken: Removed) => {
    dispatch(takeOffShelf(taken.noun, taken.item.id));
    setRemoved(taken);
    setOpen(null);
  };
  return (
    <AmongPlaces>
      <Screen
        title="Shelf"
        subtitle="What you own, and what you keep for the next time"
        isHere={isBenchKnown}
        aside={
          <>
            <SaveWord state={saved} />
            <UnitsToggle units={units} onUnits={setUnits} />
          </>
        }
      >
        {removed ? (
          <UndoBar
            text={`${removed.item.name} is off the shelf.`}
            onPutBack={() => {
              dispatch(putBackOnShelf(removed.noun, removed.item));
              setRemoved(null);
            }}
          />
        ) : null}
        <SetAsideRows place="shelf" />
        {isBenchKnown ? (
          <>
            <ShoppingList lines={shopping.lines ?? []} howFar={shopping.howFar} />
            {isBare ? <NothingOwned onOneByOne={() => setIsOneByOne(true)} /> : null}
            {isBare
              ? null
              : SHOWN_NOUNS.map((noun) => (
                  <NounList key={noun} noun={noun} open={open} onOpen={setOpen} onTakeOff={takeOff} />
                ))}
          </>
        ) : (
          <NotYet />
        )}
      </Screen>
    </AmongPlaces>
  );
}
