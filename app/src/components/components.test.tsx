import { fireEvent, render, screen } from '@testing-library/react-native';
import { type Finding, type Mend, phrase } from '@zt/core';
import { useState } from 'react';
import { FindingNote } from './FindingNote';
import { amount, sides } from './figures';
import { KeyRow } from './KeyRow';
import { StepList } from './StepList';
import { Choice } from './ui/Choice';
import { Disclosure } from './ui/Disclosure';
import { LengthField } from './ui/LengthField';
import { NumberField } from './ui/NumberField';
import { Tick } from './ui/Tick';
import { Txt } from './ui/Txt';
import { UnitsToggle } from './ui/UnitsToggle';
import { Why } from './Why';

const IN = { system: 'in', denominator: 16 } as const;
const MM = { system: 'mm' } as const;

function Held({ start = null, units = IN }: { start?: number | null; units?: typeof IN | typeof MM }) {
  const [mm, setMm] = useState<number | null>(start);
  const [unread, setUnread] = useState<string | undefined>(undefined);
  return (
    <>
      <LengthField
        label="chest"
        mm={mm}
        unread={unread}
        units={units}
        onLength={(value) => {
          setMm(value);
          setUnread(undefined);
        }}
        onUnread={setUnread}
      />
      <Txt testID="mm">{String(mm)}</Txt>
      <Txt testID="unread">{String(unread)}</Txt>
    </>
  );
}

describe('LengthField', () => {
  const field = () => screen.getByLabelText('chest');
  const read = (id: string) => screen.getByTestId(id).props.children;

  it('reads fractions and says how it understood them', async () => {
    render(<Held />);
    fireEvent.changeText(field(), '20 1/2');
    expect(Number(read('mm'))).toBeCloseTo(520.7, 9);
    expect(screen.getByText('understood as 20 1/2 in')).toBeTruthy();
  });

  it('keeps what it cannot read, with the words for it', () => {
    render(<Held />);
    fireEvent.changeText(field(), 'two feet');
    expect(read('unread')).toBe('two feet');
    expect(screen.getByText(/“two feet” does not read as a length/)).toBeTruthy();
    fireEvent.changeText(field(), '2 cm');
    expect([read('mm'), read('unread')]).toEqual(['20', 'undefined']);
  });

  it('steps by the tape’s smallest mark, and never below nothing', () => {
    render(<Held start={25.4} />);
    fireEvent.press(screen.getByLabelText('chest: more'));
    expect(Number(read('mm'))).toBeCloseTo(26.9875, 9);
    render(<Held start={0} units={MM} />);
    fireEvent.press(screen.getByLabelText('chest: less'));
    expect(read('mm')).toBe('0');
  });

  it('shows the same length in the units chosen', () => {
    const { rerender } = render(<Held start={193.4} />);
    expect(field().props.value).toBe('7 5/8 in');
    rerender(<Held start={193.4} units={MM} />);
    expect(field().props.value).toBe('193.4 mm');
  });
});

describe('NumberField', () => {
  it('takes what it can, refuses the rest in words, and empties to nothing', () => {
    const heard: (number | null)[] = [];
    render(
      <NumberField
        label="stitches"
        value={null}
        whole
        least={1}
        most={1000}
        onNumber={(n) => heard.push(n)}
      />,
    );
    const field = screen.getByLabelText('stitches');
    fireEvent.changeText(field, '640');
    fireEvent.changeText(field, '6 40');
    fireEvent.changeText(field, 'many');
    expect(screen.getByText('stitches: a whole number from 1 to 1000. “many” was not taken.')).toBeTruthy();
    fireEvent.changeText(field, '2000');
    fireEvent.changeText(field, '');
    expect(heard).toEqual([640, 640, null]);
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
