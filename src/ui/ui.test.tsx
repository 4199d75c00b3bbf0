import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { Text as NativeText } from 'react-native';
import {
  Button,
  Chips,
  Figure,
  Fold,
  LengthField,
  lamplight,
  daylight,
  Notice,
  optionsOf,
  Progress,
  Row,
  Stepper,
  TextField,
  ToastHost,
  useSay,
} from './index';

/** What an alert on the screen says. Views with a role are no elements of their own to this library, so it is asked by property. */
function textOf(role: string): string | undefined {
  const [first] = screen.UNSAFE_queryAllByProps({ role });
  return first
    ?.findAllByType(NativeText)
    .flatMap((t) => [t.props.children])
    .flat()
    .join('');
}
const problem = (): string | undefined => textOf('alert');

describe('length field', () => {
  const shown = () => screen.getByLabelText('Width').props.value as string;
  function Host({ check }: { check?: (mm: number) => void }) {
    const [mm, setMm] = useState(25.4);
    return (
      <LengthField label="Width" valueMm={mm} unit="in" onChange={setMm} {...(check ? { check } : {})} />
    );
  }
  const type = (text: string): void => {
    fireEvent.changeText(screen.getByLabelText('Width'), text);
    fireEvent(screen.getByLabelText('Width'), 'submitEditing');
  };

  test('takes what is written in a shop and shows it in the user unit', () => {
    render(<Host />);
    expect(shown()).toBe('1 in');
    type('19 mm');
    expect(shown()).toBe('3/4 in');
    type('1-1/2');
    expect(shown()).toBe('1 1/2 in');
  });

  test('keeps what was typed when it cannot be read, says why, and which value counts', () => {
    render(<Host />);
    type('two hands');
    expect(shown()).toBe('two hands');
    expect(problem()).toMatch(/is not a length.*The value before it, 1 in, still counts\./);
    type('2');
    expect(problem()).toBeUndefined();
    expect(shown()).toBe('2 in');
  });

  test('a check of its own refuses what a length alone may be', () => {
    render(
      <Host
        check={(mm) => {
          if (mm > 100) throw new RangeError('Too wide.');
        }}
      />,
    );
    type('200 mm');
    expect(problem()).toMatch(/Too wide\./);
  });
});

describe('stepper', () => {
  const change = jest.fn();
  beforeEach(() => change.mockClear());
  const shown = () => render(<Stepper label="Clamps" value={4} least={0} most={5} onChange={change} />);

  test('steps, and stops at its ends', () => {
    shown();
    fireEvent.press(screen.getByLabelText('Clamps: more'));
    fireEvent.press(screen.getByLabelText('Clamps: less'));
    expect(change.mock.calls).toEqual([[5], [3]]);
    screen.rerender(<Stepper label="Clamps" value={5} least={0} most={5} onChange={change} />);
    fireEvent.press(screen.getByLabelText('Clamps: more'));
    expect(change).toHaveBeenLastCalledWith(5);
  });

  test.each(['-40', '', 'many', '6'])('refuses “%s” and says the range', (typed) => {
    shown();
    fireEvent.changeText(screen.getByLabelText('Clamps'), typed);
    fireEvent(screen.getByLabelText('Clamps'), 'submitEditing');
    expect(change).not.toHaveBeenCalled();
    expect(problem()).toMatch(/is not a number between 0 and 5/);
  });

  test('takes a decimal comma', () => {
    render(<Stepper label="Hours" value={8} least={0} most={24} decimals={1} onChange={change} />);
    fireEvent.changeText(screen.getByLabelText('Hours'), '8,5');
    fireEvent(screen.getByLabelText('Hours'), 'blur');
    expect(change).toHaveBeenCalledWith(8.5);
  });
});

test('a text is handed on when the field is left, and only if it changed', () => {
  const change = jest.fn();
  render(<TextField label="Name" value="Lectern" onChange={change} />);
  const field = screen.getByLabelText('Name');
  fireEvent(field, 'blur');
  expect(change).not.toHaveBeenCalled();
  fireEvent.changeText(field, 'Lectern, slope');
  expect(change).not.toHaveBeenCalled();
  fireEvent(field, 'blur');
  expect(change).toHaveBeenCalledWith('Lectern, slope');
});

test('chips are a radio group with one chosen', () => {
  const change = jest.fn();
  const options = optionsOf({ clear: { label: 'Clear finish' }, paint: 'Paint' });
  render(<Chips label="School" options={options} value="clear" onChange={change} />);
  expect(screen.getByLabelText('Clear finish')).toBeChecked();
  expect(screen.getByLabelText('Paint')).not.toBeChecked();
  fireEvent.press(screen.getByLabelText('Paint'));
  expect(change).toHaveBeenCalledWith('paint');
});

test('a figure opens to its source; one without a source is no button', () => {
  render(
    <>
      <Figure label="Glue" value="4.2" unit="g" source="Common practice." />
      <Figure label="Clamps" value="2" />
    </>,
  );
  expect(screen.queryByText('Common practice.')).toBeNull();
  fireEvent.press(screen.getByLabelText('Glue: 4.2 g. Where does this come from?'));
  expect(screen.getByText('Common practice.')).toBeOnTheScreen();
  expect(screen.getAllByRole('button')).toHaveLength(1);
});

test('a row opens to its source and closes again', () => {
  render(<Row title="Open time" value="10 min" source="From memory." />);
  const row = screen.getByRole('button');
  fireEvent.press(row);
  expect(screen.getByText('From memory.')).toBeOnTheScreen();
  fireEvent.press(row);
  expect(screen.queryByText('From memory.')).toBeNull();
});

test('a fold shows what it hides when it is opened', () => {
  render(
    <Fold title="Why">
      <NativeText>Because</NativeText>
    </Fold>,
  );
  expect(screen.queryByText('Because')).toBeNull();
  fireEvent.press(screen.getByLabelText('Why'));
  expect(screen.getByText('Because')).toBeOnTheScreen();
});

test('progress says how far it is and can be cancelled', () => {
  const cancel = jest.fn();
  render(<Progress label="Turning" fraction={0.42} onCancel={cancel} />);
  const [bar] = screen.UNSAFE_getAllByProps({ role: 'progressbar' });
  expect(bar?.props).toMatchObject({ 'aria-valuenow': 42, 'aria-valuemin': 0, 'aria-valuemax': 100 });
  fireEvent.press(screen.getByLabelText('Cancel'));
  expect(cancel).toHaveBeenCalledTimes(1);
});

test('a disabled button does nothing', () => {
  const press = jest.fn();
  render(<Button label="Next" disabled onPress={press} />);
  fireEvent.press(screen.getByRole('button'));
  expect(press).not.toHaveBeenCalled();
});

test('what stops is an alert, what rests is a note', () => {
  render(
    <>
      <Notice kind="stop">Stop</Notice>
      <Notice kind="rest">Rest</Notice>
    </>,
  );
  expect(textOf('alert')).toBe('Stop');
  expect(textOf('note')).toBe('Rest');
});

describe('messages', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  function Speaker({ stop, run }: { stop: boolean; run: () => void }) {
    const say = useSay();
    return (
      <Button label="Say" onPress={() => say({ text: 'Deleted.', stop, action: { label: 'Undo', run } })} />
    );
  }
  const speak = (stop: boolean, run = jest.fn()) => {
    render(
      <ToastHost bottom={0}>
        <Speaker stop={stop} run={run} />
      </ToastHost>,
    );
    fireEvent.press(screen.getByLabelText('Say'));
    return run;
  };

  test('a message offers its one action and goes by itself', () => {
    const run = speak(false);
    fireEvent.press(screen.getByLabelText('Undo'));
    expect(run).toHaveBeenCalledTimes(1);
    expect(screen.queryByText('Deleted.')).toBeNull();
    fireEvent.press(screen.getByLabelText('Say'));
    act(() => jest.advanceTimersByTime(60_000));
    expect(screen.queryByText('Deleted.')).toBeNull();
  });

  test('an error stays until it is closed', () => {
    speak(true);
    act(() => jest.advanceTimersByTime(60_000));
    expect(screen.getByText('Deleted.')).toBeOnTheScreen();
    fireEvent.press(screen.getByLabelText('Close message'));
    expect(screen.queryByText('Deleted.')).toBeNull();
  });
});

describe('contrast (WCAG 2.2, formula of the standard)', () => {
  const channel = (hex: string): number => {
    const v = Number.parseInt(hex, 16) / 255;
    return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
  };
  const luminance = (c: string): number =>
    0.2126 * channel(c.slice(1, 3)) + 0.7152 * channel(c.slice(3, 5)) + 0.0722 * channel(c.slice(5, 7));
  const ratio = (a: string, b: string): number => {
    const [light = 0, dark = 0] = [luminance(a), luminance(b)].sort((x, y) => y - x);
    return (light + 0.05) / (dark + 0.05);
  };
  test.each([daylight, lamplight])('$name: text at least 4.5, controls at least 3', (p) => {
    for (const ground of [p.ground, p.board]) {
      for (const text of [p.ink, p.quiet, p.oxblood, p.verdigris])
        expect(ratio(text, ground)).toBeGreaterThanOrEqual(4.5);
      expect(ratio(p.control, ground)).toBeGreaterThanOrEqual(3);
    }
    expect(ratio(p.lampText, p.lampFill)).toBeGreaterThanOrEqual(4.5);
    expect(ratio(p.oxblood, p.lampFill)).toBeGreaterThanOrEqual(4.5);
    expect(ratio(p.ink, p.oxbloodFill)).toBeGreaterThanOrEqual(4.5);
    expect(ratio(p.ink, p.verdigrisFill)).toBeGreaterThanOrEqual(4.5);
    expect(ratio(p.onChosen, p.chosen)).toBeGreaterThanOrEqual(4.5);
    for (const text of [p.onBar, p.onBarQuiet, p.onBarLit])
      expect(ratio(text, p.bar)).toBeGreaterThanOrEqual(4.5);
  });
});
