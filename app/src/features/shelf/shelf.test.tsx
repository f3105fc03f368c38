import { fireEvent, render, screen } from '@testing-library/react-native';
import { USUAL_MACHINE } from '@zt/core/catalogue/presets';
import { DEFAULT_HOUSE_RULES } from '@zt/core/model/houseRules';
import type { LooseSheets, Machine, Material, Supply } from '@zt/core/model/shelf';
import { SUPPLIES } from '@zt/core/stock/supplies';
import { ItemForm } from '../../testing/ItemForm';
import { FittedNeedles } from './FittedNeedles';
import { LooseEditor } from './LooseEditor';
import { NOUN_VIEWS, SHOWN_NOUNS } from './nouns';
import { SupplyForm } from './SupplyForm';

const MM = { system: 'mm' } as const;
const sheets = (widthMm: number, heightMm: number, count: number): LooseSheets => ({
  widthMm,
  heightMm,
  count,
});

const heard: LooseSheets[][] = [];

const ROLL: Material = {
  id: 'material-1',
  name: 'Roll',
  type: 'tear-away',
  widthMm: 500,
  metresLeft: 5,
  loose: [],
};

function Held({ start }: { start: LooseSheets[] }) {
  return (
    <ItemForm noun="materials" start={{ ...ROLL, loose: start }} onItem={({ loose }) => heard.push(loose)}>
      {(roll, put) => (
        <LooseEditor loose={roll.loose} units={MM} onLoose={(loose) => put({ ...roll, loose })} />
      )}
    </ItemForm>
  );
}

/** Types in a field and leaves it. */
function fill(label: string, text: string) {
  fireEvent.changeText(screen.getByLabelText(label), text);
  fireEvent(screen.getByLabelText(label), 'blur');
}

describe('sheets and offcuts', () => {
  beforeEach(() => {
    heard.length = 0;
  });

  it('are drawn one pile to a size, with how many', () => {
    render(<Held start={[sheets(200, 250, 4), sheets(120, 180, 1)]} />);
    expect(screen.getByLabelText('4 of 200 mm × 250 mm')).toBeTruthy();
    expect(screen.getByText('× 4')).toBeTruthy();
    expect(screen.getByText('120 × 180')).toBeTruthy();
    expect(screen.queryByLabelText('how many')).toBeNull();
  });

  it('are added, changed and used up, and what was used up is put back', () => {
    render(<Held start={[sheets(200, 250, 4)]} />);
    fireEvent.press(screen.getByLabelText('Add sheets of one size'));
    expect(heard.at(-1)).toEqual([sheets(200, 250, 4), sheets(200, 200, 1)]);
    fill('sheet, width', '310 mm');
    fill('how many', '2');
    expect(heard.at(-1)?.[1]).toEqual(sheets(310, 200, 2));
    fireEvent.press(screen.getByLabelText('These are used up'));
    expect(heard.at(-1)).toEqual([sheets(200, 250, 4)]);
    fireEvent.press(screen.getByLabelText('Put it back'));
    expect(heard.at(-1)).toEqual([sheets(200, 250, 4), sheets(310, 200, 2)]);
  });

  it('take no size that is none, and no count of none', () => {
    render(<Held start={[sheets(200, 250, 4)]} />);
    fireEvent.press(screen.getByLabelText('4 of 200 mm × 250 mm'));
    fill('sheet, height', '2 mm');
    fill('how many', '0');
    expect(heard.every((loose) => loose[0]?.heightMm === 250 && loose[0]?.count === 4)).toBe(true);
    expect(screen.getByText('“2 mm” was not taken: a length from 10 mm to 3000 mm.')).toBeTruthy();
    expect(screen.getByText('“0” was not taken: a whole number from 1 to 1 000.')).toBeTruthy();
  });
});

describe('a supply', () => {
  const supply: Supply = {
    id: 'supply-1',
    name: SUPPLIES['90'].name,
    type: '90',
    left: 3,
    machineId: null,
  };
  const machine: Machine = { ...USUAL_MACHINE, id: 'machine-1', name: 'Flat bed' };
  const heard: Supply[] = [];
  const show = (of: Supply) => {
    heard.length = 0;
    render(
      <ItemForm noun="supplies" start={of} onItem={(s) => heard.push(s)}>
        {(each, put) => <SupplyForm supply={each} machines={[machine]} onSupply={put} />}
      </ItemForm>,
    );
  };

  it('is counted in its own unit, for one machine or for all', () => {
    show(supply);
    fill('needles left', '12');
    fireEvent.press(screen.getByLabelText('Flat bed'));
    fireEvent.press(screen.getByLabelText('every machine'));
    expect(heard.map((s) => [s.left, s.machineId])).toEqual([
      [12, null],
      [12, 'machine-1'],
      [12, null],
    ]);
  });

  it('takes the name of what it is made, unless it was given its own', () => {
    show(supply);
    fireEvent.press(screen.getByLabelText('Temporary spray adhesive'));
    expect(heard.at(-1)).toMatchObject({ type: 'spray', name: 'Temporary spray adhesive' });
    show({ ...supply, name: 'For canvas' });
    fireEvent.press(screen.getByLabelText('Tape'));
    expect(heard.at(-1)).toMatchObject({ type: 'tape', name: 'For canvas' });
  });
});

describe('the needles of a machine', () => {
  const six: Machine = {
    ...USUAL_MACHINE,
    id: 'machine-6',
    name: 'Six needles',
    needles: 6,
    fitted: [{ type: '90', hours: 9 }],
  };
  const heard: Machine[] = [];

  it('stand in a rack; the hours of the one chosen are changed', () => {
    render(
      <ItemForm noun="machines" start={six} onItem={(m) => heard.push(m)}>
        {(machine, put) => <FittedNeedles machine={machine} rules={DEFAULT_HOUSE_RULES} onMachine={put} />}
      </ItemForm>,
    );
    expect(screen.getByLabelText('Needle 1, 90/14, 9 of 8 hours')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Needle 4, not said which, 0 of 8 hours'));
    fill('hours on needle 4', '2.5');
    expect(heard.at(-1)?.fitted.map((n) => n.hours)).toEqual([9, 0, 0, 2.5, 0, 0]);
  });
});

describe('every noun of the shelf', () => {
  it.each(SHOWN_NOUNS)('%s: what can be added is told in a line', (noun) => {
    const view = NOUN_VIEWS[noun];
    if (!view.add) return expect(['blanks', 'placements']).toContain(noun);
    const item = view.add.make();
    const detail = (view.detail as (of: unknown, units: typeof MM) => string)(item, MM);
    expect(detail).toMatch(/\d/);
    expect(item.name.length).toBeGreaterThan(2);
  });

  it('a roll and its offcuts are told together, and sheets alone without a roll', () => {
    const { detail } = NOUN_VIEWS.materials;
    const roll = { id: 'material-1', name: 'Film', type: 'soluble-film', widthMm: 500, metresLeft: 2.5 };
    expect(detail({ ...roll, loose: [sheets(100, 200, 3)] }, MM)).toBe(
      '2.5 m left, 500 mm wide; 3 sheets and offcuts',
    );
    expect(detail({ ...roll, widthMm: 0, metresLeft: 0, loose: [sheets(100, 200, 1)] }, MM)).toBe(
      '1 sheet or offcut',
    );
  });
});
