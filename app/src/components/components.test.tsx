import { act, fireEvent, render, screen, waitFor } from '@testing-library/react-native';
import { phrase } from '@zt/core/base/units/phrase';
import { HOOP_PRESETS, hoopOf } from '@zt/core/catalogue/presets';
import { boundsAt } from '@zt/core/model/fields/bounds';
import type { Finding, Mend } from '@zt/core/model/finding';
import type { Hoop } from '@zt/core/model/shelf';
import { TicketSchema } from '@zt/core/model/ticket';
import { useState } from 'react';
import { ItemForm } from '../testing/ItemForm';
import { FindingNote } from './FindingNote';
import { amount, sides } from './figures';
import { KeyRow } from './KeyRow';
import { StepList } from './StepList';
import { Choice } from './ui/Choice';
import { Disclosure } from './ui/Disclosure';
import { type Fields, FieldsContext } from './ui/fields';
import { LengthField } from './ui/LengthField';
import { NumberField } from './ui/NumberField';
import { SidedLengthField } from './ui/SidedLengthField';
import { Tick } from './ui/Tick';
import { Txt } from './ui/Txt';
import { UnitsToggle } from './ui/UnitsToggle';
import { WordsField } from './ui/WordsField';
import { Why } from './Why';

const IN = { system: 'in', denominator: 16 } as const;
const MM = { system: 'mm' } as const;

interface FormProps {
  start?: Partial<Hoop>;
  units?: typeof IN | typeof MM;
  children: (hoop: Hoop, put: (hoop: Hoop) => void) => React.ReactNode;
}

const heard: Hoop[] = [];
/** A hoop of the schema, with what a test starts from. */
const hoopWith = (start: Partial<Hoop> = {}): Hoop => {
  const [preset] = HOOP_PRESETS;
  if (!preset) throw new Error('there is a usual hoop');
  return { ...hoopOf(preset, 'hoop-form-1', []), ...start };
};
/** A form over a hoop, which saves what it takes. */
function Form({ start, units = IN, children }: FormProps) {
  return (
    <ItemForm noun="hoops" start={hoopWith(start)} units={units} onItem={(hoop) => heard.push(hoop)}>
      {children}
    </ItemForm>
  );
}
/** The hoop as it was saved last; as it started, while nothing was. */
const kept = (): Hoop => heard.at(-1) ?? hoopWith();
beforeEach(() => {
  heard.length = 0;
});

const Closes = (props: Omit<FormProps, 'children'>) => (
  <Form {...props}>
    {(hoop, put) => (
      <LengthField
        label="closes on"
        at="closesOnMm"
        mm={hoop.closesOnMm}
        onLength={(closesOnMm) => put({ ...hoop, closesOnMm })}
      />
    )}
  </Form>
);

describe('LengthField', () => {
  const field = () => screen.getByLabelText('closes on');
  const leave = () => fireEvent(field(), 'blur');
  const type = (text: string) => {
    fireEvent(field(), 'focus');
    fireEvent.changeText(field(), text);
  };

  it('says how it understands a fraction, and takes it when the field is left', () => {
    render(<Closes />);
    type('7/8');
    expect(screen.getByText('understood as 7/8 in')).toBeTruthy();
    expect(kept().closesOnMm).toBeNull();
    leave();
    expect(kept().closesOnMm).toBeCloseTo(22.225, 9);
  });

  it('takes it on Enter too', () => {
    render(<Closes />);
    type('1/2');
    fireEvent(field(), 'submitEditing');
    expect(kept().closesOnMm).toBeCloseTo(12.7, 9);
  });

  it('takes nothing half typed, and a reading with its unit after a pause', () => {
    jest.useFakeTimers();
    render(<Closes />);
    for (const text of ['2', '21', '21.', '21.2', '21.2 ', '21.2 m']) {
      type(text);
      act(() => void jest.advanceTimersByTime(5000));
      expect(kept().closesOnMm).toBeNull();
    }
    type('21.2 mm');
    act(() => void jest.advanceTimersByTime(400));
    expect(kept().closesOnMm).toBeNull();
    act(() => void jest.advanceTimersByTime(1000));
    expect(kept().closesOnMm).toBe(21.2);
    jest.useRealTimers();
  });

  it('keeps what it cannot take as it was typed, with what is allowed, and saves the rest', () => {
    render(<Closes start={{ closesOnMm: 5 }} />);
    type('two feet');
    expect(screen.getByText(/“two feet” does not read as a length/)).toBeTruthy();
    leave();
    expect([kept().closesOnMm, kept().unread]).toEqual([null, { closesOnMm: 'two feet' }]);
    expect(field().props.value).toBe('two feet');
    type('2');
    leave();
    expect(screen.getByText('“2” was not taken: a length from 1/32 in to 1 3/16 in.')).toBeTruthy();
    expect(kept().unread).toEqual({ closesOnMm: '2' });
    type('2 cm');
    leave();
    expect([kept().closesOnMm, kept().unread]).toEqual([20, {}]);
    type('');
    leave();
    expect([kept().closesOnMm, kept().unread]).toEqual([null, {}]);
  });

  it('steps by the tape’s smallest mark, and never past a bound', () => {
    render(<Closes start={{ closesOnMm: 25.4 }} />);
    fireEvent.press(screen.getByLabelText('closes on: more'));
    expect(kept().closesOnMm).toBeCloseTo(26.9875, 9);
    screen.unmount();
    render(<Closes start={{ closesOnMm: 30 }} units={MM} />);
    fireEvent.press(screen.getByLabelText('closes on: more'));
    expect(kept().closesOnMm).toBe(30);
  });

  it('shows the same length in the units chosen', () => {
    const { rerender } = render(<Closes start={{ closesOnMm: 12.7 }} />);
    expect(field().props.value).toBe('1/2 in');
    rerender(<Closes start={{ closesOnMm: 12.7 }} units={MM} />);
    expect(field().props.value).toBe('12.7 mm');
  });
});

const heardX: number[] = [];
function Sided() {
  const [x, setX] = useState(0);
  const [unread, setUnread] = useState<Record<string, string>>({});
  const fields: Fields = {
    units: MM,
    unread,
    boundsAt: (at) => boundsAt(TicketSchema, at),
    take: (at, change) => {
      setUnread(({ [at]: _, ...others }) => others);
      change();
    },
    keep: (at, text) => setUnread((texts) => ({ ...texts, [at]: text })),
  };
  return (
    <FieldsContext.Provider value={fields}>
      <SidedLengthField
        label="across"
        at="place.offset.x"
        mm={x}
        sides={['left', 'right']}
        onLength={(mm) => {
          heardX.push(mm);
          setX(mm);
        }}
      />
    </FieldsContext.Provider>
  );
}

describe('SidedLengthField', () => {
  const field = () => screen.getByLabelText('across');
  const fill = (text: string) => {
    fireEvent.changeText(field(), text);
    fireEvent(field(), 'blur');
  };

  it('keeps a side that is chosen before the length, and turns one that is there', () => {
    render(<Sided />);
    fireEvent.press(screen.getByLabelText('left'));
    fill('5');
    expect(heardX.at(-1)).toBe(-5);
    fireEvent.press(screen.getByLabelText('right'));
    expect(heardX.at(-1)).toBe(5);
  });

  it('is taken as it is typed when its page goes, as when a phone is turned', () => {
    render(<Sided />);
    fireEvent.changeText(field(), '11');
    const before = heardX.length;
    screen.unmount();
    expect(heardX.slice(before)).toEqual([11]);
  });

  it('keeps what could not be taken when a side is chosen', () => {
    render(<Sided />);
    fill('20 km');
    fireEvent.press(screen.getByLabelText('left'));
    expect(field().props.value).toBe('20 km');
    fill('7');
    expect(heardX.at(-1)).toBe(-7);
  });
});

describe('NumberField and WordsField', () => {
  const leave = (label: string, text: string) => {
    fireEvent(screen.getByLabelText(label), 'focus');
    fireEvent.changeText(screen.getByLabelText(label), text);
    fireEvent(screen.getByLabelText(label), 'blur');
  };

  it('takes what it can and refuses the rest in words; what must have a value keeps it', () => {
    render(
      <Form>
        {(hoop, put) => (
          <NumberField
            label="places"
            at="positions.count"
            value={hoop.positions.count}
            onNumber={(count) => put({ ...hoop, positions: { ...hoop.positions, count } })}
          />
        )}
      </Form>,
    );
    leave('places', '3');
    expect(kept().positions.count).toBe(3);
    leave('places', 'many');
    expect(screen.getByText('“many” was not taken: a whole number from 1 to 4.')).toBeTruthy();
    leave('places', '2,5');
    expect([kept().positions.count, kept().unread]).toEqual([3, { 'positions.count': '2,5' }]);
    leave('places', '');
    expect([kept().positions.count, kept().unread]).toEqual([3, {}]);
    expect(screen.getByLabelText('places').props.value).toBe('3');
  });

  it('takes words as they come; too many stay in the field, and are not used', async () => {
    render(
      <Form start={{ name: 'Ring' }}>
        {(hoop, put) => (
          <WordsField label="Name" at="name" value={hoop.name} onText={(name) => put({ ...hoop, name })} />
        )}
      </Form>,
    );
    fireEvent.changeText(screen.getByLabelText('Name'), 'Ring of ');
    await waitFor(() => expect(kept().name).toBe('Ring of '));
    leave('Name', 'x'.repeat(121));
    expect(screen.getByText(/1 to 120 letters; 121 are typed/)).toBeTruthy();
    expect([kept().name, kept().unread?.name?.length]).toEqual(['Ring of ', 121]);
    leave('Name', '');
    expect([kept().name, kept().unread]).toEqual(['Ring of ', {}]);
  });
});

describe('small parts', () => {
  it('a choice tells which is chosen, and what was pressed', () => {
    const heard: string[] = [];
    render(
      <Choice
        label="Iron"
        options={[
          { id: 'yes', name: 'yes' },
          { id: 'no', name: 'no' },
        ]}
        chosen="yes"
        onChoose={(id) => heard.push(id)}
      />,
    );
    fireEvent.press(screen.getByLabelText('no'));
    expect(heard).toEqual(['no']);
    expect(
      screen.getByLabelText('yes').props['aria-checked'] ??
        screen.getByLabelText('yes').props.accessibilityState?.checked,
    ).toBe(true);
  });

  it('a tick turns over', () => {
    const heard: boolean[] = [];
    render(<Tick title="Latched" on={false} onToggle={(on) => heard.push(on)} />);
    fireEvent.press(screen.getByLabelText('Latched'));
    expect(heard).toEqual([true]);
  });

  it('a disclosure opens and closes', () => {
    render(
      <Disclosure title="why?">
        <Txt>Because.</Txt>
      </Disclosure>,
    );
    expect(screen.queryByText('Because.')).toBeNull();
    fireEvent.press(screen.getByLabelText('why?'));
    expect(screen.getByText('Because.')).toBeTruthy();
  });

  it('the units are chosen by name', () => {
    const heard: string[] = [];
    render(<UnitsToggle units={IN} onUnits={(u) => heard.push(u.system)} />);
    fireEvent.press(screen.getByLabelText('millimetres'));
    expect(heard).toEqual(['mm']);
  });
});

const finding: Finding = {
  code: 'hoop-misses',
  stage: 'hoop',
  severity: 'stop',
  text: phrase`Misses by ${{ mm: 6.4 }} in height.`,
  mends: [
    {
      label: phrase`Turn 90°`,
      result: phrase`fits with ${{ mm: 8 }} to spare`,
      change: { stage: 'hoop', set: { turnDeg: 90 } },
    },
  ],
};

const costly: Finding = {
  ...finding,
  mends: [
    { ...finding.mends[0], cost: phrase`none` },
    {
      label: phrase`Shrink to 94 %`,
      result: phrase`fits the hoop`,
      cost: phrase`13 % denser`,
      change: { stage: 'design', set: { scalePercent: 94 } },
    },
  ] as Finding['mends'],
};
function Tried({ onMend }: { onMend: (mend: Mend) => void }) {
  const [mend, setMend] = useState<Mend | null>(null);
  return <FindingNote finding={costly} units={MM} onMend={onMend} trial={{ mend, onTry: setMend }} />;
}

describe('findings, reasons, steps', () => {
  it('a finding says how much, and its button what will be true', () => {
    const heard: unknown[] = [];
    render(<FindingNote finding={finding} units={MM} onMend={(mend) => heard.push(mend.change)} />);
    expect(screen.getByLabelText('Stop: Misses by 6.4 mm in height.')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Turn 90°: fits with 8 mm to spare'));
    expect(heard).toEqual([{ stage: 'hoop', set: { turnDeg: 90 } }]);
  });

  describe('a mend with a cost', () => {
    it('is tried out first, with what it brings and costs, and changes nothing until it is taken', () => {
      const taken: Mend[] = [];
      render(<Tried onMend={(mend) => taken.push(mend)} />);
      fireEvent.press(screen.getByLabelText(/^Shrink to 94 %: fits the hoop/));
      expect(taken).toEqual([]);
      expect(screen.getByText('On the sheet: Shrink to 94 %')).toBeTruthy();
      expect(screen.getByText('Cost: 13 % denser')).toBeTruthy();
      expect(screen.queryByText(/^On the sheet: Turn/)).toBeNull();
      fireEvent.press(screen.getByLabelText('Do it: Shrink to 94 %'));
      expect(taken.map((mend) => mend.change)).toEqual([{ stage: 'design', set: { scalePercent: 94 } }]);
    });

    it('is left again, and another is tried', () => {
      render(<Tried onMend={() => undefined} />);
      fireEvent.press(screen.getByLabelText(/^Shrink to 94 %/));
      fireEvent.press(screen.getByLabelText('Leave it'));
      expect(screen.queryByText(/^On the sheet: /)).toBeNull();
      fireEvent.press(screen.getByLabelText(/^Turn 90°/));
      expect(screen.getByText('On the sheet: Turn 90°')).toBeTruthy();
    });

    it('is taken at once where nothing can be tried', () => {
      const taken: Mend[] = [];
      render(<FindingNote finding={costly} units={MM} onMend={(mend) => taken.push(mend)} />);
      fireEvent.press(screen.getByLabelText(/^Turn 90°/));
      expect(taken).toHaveLength(1);
    });
  });

  it('a reason opens its arithmetic, and the schools that think otherwise', () => {
    const reason = {
      about: 'place',
      text: phrase`By the table.`,
      arithmetic: [phrase`${{ mm: 25.4 }} from the line`],
      school: { question: 'chest' as const, chosen: 'by table', others: ['by armhole', 'by collar'] },
    };
    render(<Why about="this place" reasons={[reason, undefined]} units={IN} />);
    fireEvent.press(screen.getByLabelText('why this place?'));
    expect(screen.getByText('1 in from the line')).toBeTruthy();
    expect(screen.getByText('Chest placement: by table. Others: by armhole · by collar.')).toBeTruthy();
  });

  it('a reason names the rules that gave way', () => {
    const reason = {
      about: 'needle',
      text: phrase`A knit.`,
      arithmetic: [],
      gaveWay: [phrase`any cloth: 75/11 embroidery; gives way to the rule for knit`],
    };
    render(<Why about="the needle" reasons={[reason]} units={IN} />);
    fireEvent.press(screen.getByLabelText('why the needle?'));
    expect(screen.getByText('Also spoke, and gave way:')).toBeTruthy();
    expect(screen.getByText(/^any cloth: 75\/11 embroidery; gives way/)).toBeTruthy();
  });

  it('asks for nothing where there is no reason', () => {
    render(<Why about="nothing" reasons={[undefined]} units={IN} />);
    expect(screen.queryByLabelText('why nothing?')).toBeNull();
  });

  it('steps are numbered, with their figures apart', () => {
    render(
      <StepList
        steps={[{ text: phrase`Tape across.`, figure: { mm: 260.35 } }, { text: phrase`Join them.` }]}
        units={IN}
      />,
    );
    expect(screen.getByText('10 1/4')).toBeTruthy();
    expect(screen.getByText('2')).toBeTruthy();
  });
});

describe('keys', () => {
  const keys = { turnDeg: 0, mirror: false, move: { x: 0, y: 0 } };

  it('are told as turn, mirror and move, each way named', () => {
    render(
      <KeyRow
        keys={{ turnDeg: 90, mirror: true, move: { x: -2, y: 5.5 } }}
        order={['mirror', 'turn', 'move']}
        units={MM}
      />,
    );
    expect(screen.getByText('Key in, from “centred, upright”:')).toBeTruthy();
    expect(screen.getByText('90°')).toBeTruthy();
    expect(screen.getByText('yes')).toBeTruthy();
    expect(screen.getByText('2 mm left, 5.5 mm towards you')).toBeTruthy();
  });

  it('are none for a design that is centred and upright', () => {
    render(<KeyRow keys={keys} order={[]} units={MM} />);
    expect(screen.getByText('Nothing to key in: centred, upright.')).toBeTruthy();
    expect(screen.getAllByText('no')).toHaveLength(3);
  });
});

describe('figures', () => {
  it('count a supply in its unit, one of it without the s', () => {
    expect([amount(1, 'needles'), amount(4, 'needles'), amount(0.25, 'cans'), amount(3.456, 'm')]).toEqual([
      '1 needle',
      '4 needles',
      '0.3 cans',
      '3.46 m',
    ]);
  });

  it('name both sides of a rectangle with their unit', () => {
    expect(sides({ widthMm: 182, heightMm: 190 }, MM)).toBe('182 mm × 190 mm');
    expect(sides({ widthMm: 25.4, heightMm: 50.8 }, IN)).toBe('1 in × 2 in');
  });
});
