import { formatLength } from '@zt/core/base/units/length';
import { makePlanner } from '@zt/core/planner/plan';
import { titleOf } from '@zt/core/planner/titleOf';
import { namePartOf, rowOnTable } from '@zt/core/stages/design/names/onTable';
import { nameOfPart } from '@zt/core/stages/design/parts/drawnPart';
import { nameRun, type PlannerOf, totalOf } from '@zt/core/table/names/nameRun';
import { useRouter } from 'expo-router';
import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import { useWindowDimensions } from 'react-native';
import { countOf } from '../../components/figures';
import { Choice } from '../../components/ui/Choice';
import { LengthField } from '../../components/ui/LengthField';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Screen } from '../../components/ui/Screen';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { UnitsToggle } from '../../components/ui/UnitsToggle';
import { usePlan, useRules, useShelf, useTicket, useUnits } from '../../hooks/useTicket';
import type { Shop } from '../../shop/useShop';
import { FieldFindings } from '../../stages/FieldFindings';
import { WithTicket } from '../../stages/WithTicket';
import { undone } from '../../store/editor';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { NameGroups } from './NameGroups';
import { NameLine } from './NameLine';
import { NameList } from './NameList';
import { useNames } from './useNames';

/** How all names are set: in which letters, and how wide at most. */
function ForAll() {
  const { design } = useTicket('design');
  const { hoop } = usePlan('hoop');
  const units = useUnits();
  const router = useRouter();
  const { id } = useTicket('id');
  const { names, set } = useNames();
  if (!names) return null;
  const lettered = design.parts.filter(({ letters }) => letters);
  const letters = namePartOf(design)?.letters;
  const field = hoop?.laid?.verdict.hoop;
  return (
    <Stack gap={8}>
      <FieldFindings field="names.part" />
      {lettered.length > 1 ? (
        <Choice
          label="Names take the place of"
          small
          options={lettered.map((part) => ({ id: part.id, name: nameOfPart(part) }))}
          chosen={names.part}
          onChoose={(part) => set({ part })}
        />
      ) : null}
      <LengthField
        label="No name wider than"
        at="design.names.allowedMm"
        mm={names.allowedMm}
        onLength={(allowedMm) => set({ allowedMm })}
        hint={
          field
            ? `${field.name} takes ${formatLength(field.fieldWidthMm, units)} across; empty: any width.`
            : 'As it is stitched; empty: any width.'
        }
      />
      <Row wrap>
        {names.allowedMm === null ? null : (
          <Press kind="link" title="Any width" onPress={() => set({ allowedMm: null })} />
        )}
        {letters ? (
          <Press
            kind="link"
            title={`${letters.face}, capitals ${formatLength(letters.capMm, units)}: change the letters`}
            onPress={() => router.push(`/ticket/${id}/design`)}
          />
        ) : null}
      </Row>
      <FieldFindings field="names.allowedMm" />
    </Stack>
  );
}

const PADDING_PX = 32;
/** A page is no wider than this, and from some width names stand in two columns. */
const PAGE_PX = 1080;
const TWO_FROM_PX = 900;
const GAP_PX = 16;

/** A planner for each name, which remembers what has not changed. */
function usePlanners(): PlannerOf {
  const [planners] = useState(() => new Map<string, ReturnType<typeof makePlanner>>());
  return useCallback(
    (id) => {
      const planner = planners.get(id) ?? makePlanner();
      planners.set(id, planner);
      return planner;
    },
    [planners],
  );
}

function Names({ shop }: { shop: Shop }) {
  const ticket = useTicket();
  const shelf = useShelf();
  const rules = useRules();
  const units = useUnits();
  const router = useRouter();
  const dispatch = useAppDispatch();
  const { width: screen } = useWindowDimensions();
  const canUndo = useAppSelector((state) => state.editor.past.length > 0);
  const { rows, takeAllOff } = useNames();
  const plannerOf = usePlanners();
  // What is typed is shown at once; the figures of all names follow.
  const followed = useDeferredValue(ticket);
  const plans = useMemo(
    () => nameRun(followed, { shelf, rules, plannerOf }),
    [followed, shelf, rules, plannerOf],
  );
  const total = totalOf(plans);
  const room = Math.min(PAGE_PX, screen) - PADDING_PX;
  const width = screen >= TWO_FROM_PX ? (room - GAP_PX) / 2 : room;
  const onTable = rowOnTable(ticket.design);
  const made = rows.filter(({ done }) => done).length;
  return (
    <Screen
      title="Names"
      subtitle={
        plans.length === 0
          ? titleOf(ticket)
          : `${countOf(plans.length, 'name')}, ${made} made, ${Math.round(total.minutes)} min in all`
      }
      aside={
        <>
          <UnitsToggle units={units} onUnits={shop.setUnits} />
          <Press title="Undo" disabled={!canUndo} onPress={() => dispatch(undone())} />
          <Press
            title="Back"
            onPress={() =>
              router.canGoBack() ? router.back() : router.replace(`/ticket/${ticket.id}/design`)
            }
          />
        </>
      }
    >
      {plans.length === 0 ? (
        <Txt>
          One design, and on every piece another name: all in the same letters, each with its own marks,
          template and stitching.
        </Txt>
      ) : null}
      <ForAll />
      <NameGroups ticket={followed} plans={plans} shelf={shelf} rules={rules} plannerOf={plannerOf} />
      <Row wrap align="start" gap={GAP_PX}>
        {plans.map((one, i) => (
          <NameLine
            key={one.row.id}
            one={one}
            index={i}
            isOnTable={one.row.id === onTable?.id}
            scale={width / Math.max(1, total.widestSetMm)}
            width={width}
          />
        ))}
      </Row>
      <NameList />
      {plans.length > 0 ? (
        <Row wrap>
          <Press
            title="Print a template for each"
            onPress={() => router.push(`/ticket/${ticket.id}/print?what=template`)}
          />
          <Press kind="link" title="One design for all pieces again" onPress={takeAllOff} />
        </Row>
      ) : null}
    </Screen>
  );
}

/** The names of an order: each with its width, its marks and what it takes, to one scale. */
export function NamesScreen({ id }: { id: string }) {
  return <WithTicket id={id}>{(shop) => <Names shop={shop} />}</WithTicket>;
}
