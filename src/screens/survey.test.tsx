import { act, fireEvent, render, screen, waitFor } from '@testing-library/react-native';
import { useState } from 'react';
import type { DamageKind, Mark } from '@/core/damage';
import { simulatedRecording, tapListener, type TapSound } from '@/core/ear';
import { pressField, type FieldInput, type PressField } from '@/core/field';
import { distanceWords, rankMethods } from '@/core/method';
import { type MaterialId } from '@/core/catalogue';
import { browserStore, changeShop, DEFAULT_SHOP, type Answers, type Shop } from '@/records';
import { CheckChips, DateField, LengthField, ToastHost } from '@/ui';
import { AnswersFold } from './decide/AnswersFold';
import { CompareFold } from './decide/CompareFold';
import { RankingView } from './decide/RankingView';
import { WeightsFold } from './decide/WeightsFold';
import { FieldSection } from './press/FieldView';
import type { FieldFrame } from './press/useField';
import { MaterialsSection } from './shop/MaterialsSection';
import { KindPicker } from './shared/KindPicker';
import { EarPanel } from './survey/EarPanel';
import { PointFields, SizeFields } from './survey/MarkFields';
import type { Ear } from './survey/useEar';

const FACE = { build: 'solid' as const, show: true, finishNow: 'lacquer' as const, goal: 'lacquer' as const };

describe('what kind of damage', () => {
  function Host() {
    const [kind, setKind] = useState<DamageKind>('liftedEdge');
    return <KindPicker value={kind} onChange={setKind} />;
  }
  test('the family is looked into first, and changes nothing until a kind is chosen', () => {
    render(<Host />);
    expect(screen.getByText(/sounds hollow under a fingernail/)).toBeOnTheScreen();
    fireEvent.press(screen.getByLabelText('Surface'));
    expect(screen.getByText('Marks and stains, and a finish that fails.')).toBeOnTheScreen();
    fireEvent.press(screen.getByLabelText('White ring'));
    expect(screen.getByText('A white haze in the finish from heat or damp.')).toBeOnTheScreen();
    expect(screen.queryByLabelText('Lifted edge')).toBeNull();
  });
});

describe('what is known of a damage', () => {
  function Host({ kind, boardMm, start = {} }: { kind: DamageKind; boardMm?: number; start?: Answers }) {
    const [answers, setAnswers] = useState<Answers>(start);
    return (
      <AnswersFold kind={kind} answers={answers} {...(boardMm ? { boardMm } : {})} onChange={setAnswers} />
    );
  }
  const open = (): void => void fireEvent.press(screen.getByLabelText('What is known of this damage'));

  test('only what decides this kind is asked', () => {
    render(<Host kind="hole" />);
    open();
    expect(screen.getByText('Will a screw sit there again?')).toBeOnTheScreen();
    expect(screen.queryByText('What is the old glue?')).toBeNull();
    expect(screen.getByLabelText('Depth').props.value).toBe('');
  });

  test('a depth beyond the board asks whether it goes through; measuring again forgets the depth', () => {
    render(<Host kind="hole" boardMm={18} start={{ depthMm: 25 }} />);
    open();
    expect(screen.getByText(/The board is 18 mm thick and the depth is 25 mm/)).toBeOnTheScreen();
    fireEvent.press(screen.getByLabelText('No, I measure again'));
    expect(screen.queryByText(/The board is 18 mm thick/)).toBeNull();
    expect(screen.getByLabelText('Depth').props.value).toBe('');
  });

  test('a negative depth is refused and nothing is kept', () => {
    render(<Host kind="gouge" />);
    open();
    const field = screen.getByLabelText('Depth');
    fireEvent.changeText(field, '-4');
    fireEvent(field, 'submitEditing');
    expect(screen.UNSAFE_queryAllByProps({ role: 'alert' }).length).toBeGreaterThan(0);
    expect(screen.queryByText('Forget the answers')).toBeNull();
  });
});

describe('sizes and points of a mark', () => {
  test('each tool asks for its own sizes, within what can be', () => {
    const change = jest.fn();
    const crack: Mark = { tool: 'line', points: [[0, 0], [9, 0]], widthMm: 1 }; // prettier-ignore
    const { rerender } = render(<SizeFields mark={crack} onChange={change} />);
    const width = screen.getByLabelText('Width of the crack');
    fireEvent.changeText(width, '0');
    fireEvent(width, 'submitEditing');
    expect(change).not.toHaveBeenCalled();
    fireEvent.changeText(width, '2.5');
    fireEvent(width, 'submitEditing');
    expect(change).toHaveBeenCalledWith({ ...crack, widthMm: 2.5 });
    const corner: Mark = { tool: 'corner', at: [0, 0], legsMm: [10, 20] };
    rerender(<SizeFields mark={corner} onChange={change} />);
    const leg = screen.getByLabelText('Length along the edge after the corner');
    fireEvent.changeText(leg, '33');
    fireEvent(leg, 'submitEditing');
    expect(change).toHaveBeenLastCalledWith({ ...corner, legsMm: [10, 33] });
    rerender(<SizeFields mark={{ tool: 'area', outline: [] }} onChange={change} />);
    expect(screen.queryByLabelText('Diameter')).toBeNull();
  });

  test('a line’s points are moved, added and taken away by numbers; a hole’s middle is only moved', () => {
    const [move, remove, add] = [jest.fn(), jest.fn(), jest.fn()];
    const crack: Mark = { tool: 'line', points: [[10, 20], [30, 40]], widthMm: 1 }; // prettier-ignore
    const { rerender } = render(<PointFields mark={crack} onMove={move} onRemove={remove} onAdd={add} />);
    const y = screen.getByLabelText('Point 2, down');
    fireEvent.changeText(y, '55');
    fireEvent(y, 'submitEditing');
    expect(move).toHaveBeenCalledWith(1, [30, 55]);
    fireEvent.press(screen.getByLabelText('Remove point 1'));
    expect(remove).toHaveBeenCalledWith(0);
    fireEvent.press(screen.getByLabelText('Add a point'));
    expect(add).toHaveBeenCalled();
    rerender(
      <PointFields
        mark={{ tool: 'circle', at: [5, 6], diameterMm: 8 }}
        onMove={move}
        onRemove={remove}
        onAdd={add}
      />,
    );
    expect(screen.getByLabelText('Middle, right').props.value).toBe('5 mm');
    expect(screen.queryByLabelText('Add a point')).toBeNull();
  });
});

describe('deciding', () => {
  const hole = { kind: 'hole' as const, diameterMm: 10, areaMm2: 78, atEdge: false, screwAgain: false, carriesLoad: false }; // prettier-ignore
  const ranking = rankMethods({
    damage: hole,
    surface: FACE,
    school: 'clear',
    stock: ['woodGlue', 'dowels'],
  });

  test('what is missing is marked and goes on the shopping list', () => {
    const buy = jest.fn();
    const { rerender } = render(<RankingView ranking={ranking} onBuy={buy} />);
    expect(screen.getByText('1. Face-grain plug (not in stock)')).toBeOnTheScreen();
    fireEvent.press(screen.getByLabelText('Put on the shopping list: plug cutter, matching solid wood'));
    expect(buy).toHaveBeenCalledWith(['plugCutter', 'solidWood']);
    rerender(<RankingView ranking={ranking} onBuy={buy} listed={['plugCutter', 'solidWood']} />);
    expect(screen.getAllByText('It is on the shopping list.').length).toBeGreaterThan(0);
  });

  test('two methods stand side by side, and either can be another', () => {
    render(<CompareFold ranking={ranking} />);
    fireEvent.press(screen.getByLabelText('Compare two methods'));
    expect(screen.getByText('Materials in stock')).toBeOnTheScreen();
    const right = ranking.ranked[1];
    expect(screen.getByText('First')).toBeOnTheScreen();
    expect(
      screen.getByText(distanceWords(right?.score ?? NaN, ranking.ranked[0]?.score ?? NaN)),
    ).toBeOnTheScreen();
    const [left] = screen.getAllByLabelText('Leave it as it is');
    if (left) fireEvent.press(left);
    expect(screen.getAllByText(/An open hole gathers dirt/).length).toBeGreaterThan(0);
  });

  test('weights are changed for one school, show that they were, and go back', async () => {
    await act(async () => void (await changeShop(undefined, {})));
    render(
      <ToastHost bottom={0}>
        <WeightsFold school="paint" />
      </ToastHost>,
    );
    fireEvent.press(screen.getByLabelText('What counts in “Paint”'));
    fireEvent.press(screen.getByLabelText('Can be undone: more'));
    await waitFor(() => expect(screen.getByText('Changed; it was 0.')).toBeOnTheScreen());
    expect((await browserStore.get('shop', 'shop'))?.body.weights).toEqual({ paint: { reversibility: 1 } });
    fireEvent.press(screen.getByLabelText('Back to common practice'));
    await waitFor(async () =>
      expect((await browserStore.get('shop', 'shop'))?.body.weights).toEqual({ paint: {} }),
    );
    await waitFor(() => expect(screen.queryByText('Changed; it was 0.')).toBeNull(), { timeout: 4000 });
  });
});

describe('stock', () => {
  function Host() {
    const [shop, setShop] = useState<Shop>({ ...DEFAULT_SHOP, shopping: ['hardWax'] });
    return <MaterialsSection shop={shop} onChange={(patch) => setShop((s) => ({ ...s, ...patch }))} />;
  }
  test('what is bought comes off the list and into stock', () => {
    render(<Host />);
    expect(screen.getByText('Nothing is ticked yet, so stock does not count.')).toBeOnTheScreen();
    fireEvent.press(screen.getByLabelText('Bought: Hard wax in several colours'));
    expect(screen.queryByText('To be bought')).toBeNull();
    expect(screen.getByText('✓ Hard wax in several colours')).toBeOnTheScreen();
    fireEvent.press(screen.getByLabelText('Leave the stock out of decisions'));
    expect(screen.getByText('Nothing is ticked yet, so stock does not count.')).toBeOnTheScreen();
  });

  test('any number of chips are on', () => {
    const change = jest.fn();
    render(
      <CheckChips<MaterialId>
        label="Materials"
        options={[{ value: 'epoxy', label: 'Epoxy' }, { value: 'dowels', label: 'Dowels' }]} // prettier-ignore
        values={['epoxy']}
        onChange={change}
      />,
    );
    fireEvent.press(screen.getByLabelText('Dowels'));
    expect(change).toHaveBeenLastCalledWith(['epoxy', 'dowels']);
    fireEvent.press(screen.getByLabelText('Epoxy'));
    expect(change).toHaveBeenLastCalledWith([]);
  });
});

describe('the phone’s ear', () => {
  const ear = (more: Partial<Ear>): Ear => ({
    open: false,
    simulated: false,
    missing: 3,
    start: jest.fn(),
    startSimulated: jest.fn(),
    stop: jest.fn(),
    clear: jest.fn(),
    relearn: jest.fn(),
    ...more,
  });
  test('says what it needs, what it hears, and what is wrong', () => {
    const { rerender } = render(<EarPanel ear={ear({ open: true, missing: 2 })} />);
    expect(screen.getByText(/2 more of 3/)).toBeOnTheScreen();
    rerender(<EarPanel ear={ear({ open: true, missing: 0, heard: { hollow: true, confidence: 0.87 } })} />);
    expect(screen.getByText('It sounds hollow, 87 % sure. Confirm it above.')).toBeOnTheScreen();
    rerender(<EarPanel ear={ear({ open: true, missing: 0, problem: 'clipping' })} />);
    expect(screen.getByText(/Tap more gently/)).toBeOnTheScreen();
    rerender(<EarPanel ear={ear({ open: true, refused: 'The microphone is refused.' })} />);
    expect(screen.getByText('The microphone is refused.')).toBeOnTheScreen();
  });

  test('a listener in this environment hears what the browser’s does', () => {
    const taps: TapSound[] = tapListener(48_000).hear(simulatedRecording([false, true], 48_000, 2));
    expect(taps).toHaveLength(2);
    expect(taps[1]?.dominantHz).toBeLessThan(taps[0]?.dominantHz ?? 0);
  });
});

describe('pressure in words', () => {
  const input: FieldInput = {
    panel: { widthMm: 200, heightMm: 100 },
    platen: { thicknessMm: 18, modulusMPa: 3000, poisson: 0.25 },
    foundation: { stiffnessMPaPerMm: 20 },
    cauls: [],
    clamps: [{ at: [100, 50], forceN: 2000 }],
    gridMm: 10,
    target: { leastKPa: 250, mostKPa: 3000 },
  };
  const frame: FieldFrame = {
    input,
    originMm: [0, 0],
    face: [
      [0, 0],
      [200, 0],
      [200, 100],
      [0, 100],
    ],
    directionDeg: 0,
    bed: {
      stiffnessMPaPerMm: 20,
      acrossMPa: 360,
      stiffnessSource: { kind: 'practice' },
      crushingKPa: 3000,
      crushingSource: { kind: 'practice' },
    },
  };
  const plan = (coverage: number) => ({ targetKPa: 250, layout: { coverage } }) as never;
  let field: PressField;
  beforeAll(async () => {
    field = await pressField(input);
  });

  test('where the platen and the rule differ is said, and which way', () => {
    const { rerender } = render(<FieldSection plan={plan(1)} frame={frame} field={field} />);
    expect(screen.getByText(/The platen bends:/)).toBeOnTheScreen();
    expect(screen.getByText(/lifts off \d+ % of its area/)).toBeOnTheScreen();
    rerender(<FieldSection plan={plan(field.coverage)} frame={frame} field={field} />);
    expect(screen.getByText(/the platen agrees/)).toBeOnTheScreen();
    rerender(<FieldSection plan={plan(0)} frame={frame} field={{ ...field, coverage: 0.5 }} />);
    expect(screen.getByText(/The platen carries farther/)).toBeOnTheScreen();
  });

  test('what crushes the wood stops', () => {
    render(<FieldSection plan={plan(1)} frame={frame} field={{ ...field, greatestKPa: 5000 }} />);
    expect(screen.getByText('The wood would be crushed')).toBeOnTheScreen();
  });
});

test('a length that was never measured is empty, and stays so when nothing is typed', () => {
  const change = jest.fn();
  render(<LengthField label="Board" valueMm={undefined} unit="mm" onChange={change} />);
  const field = screen.getByLabelText('Board');
  fireEvent(field, 'focus');
  fireEvent(field, 'blur');
  expect(change).not.toHaveBeenCalled();
  fireEvent.changeText(field, '18');
  fireEvent(field, 'submitEditing');
  expect(change).toHaveBeenCalledWith(18);
});

test('a day is picked and taken away', () => {
  const change = jest.fn();
  render(<DateField label="To be ready by" value="2026-05-01" onChange={change} />);
  const [input] = screen.UNSAFE_getAllByProps({ type: 'date' });
  expect(input?.props.value).toBe('2026-05-01');
  input?.props.onChange({ currentTarget: { value: '2026-06-02' } });
  expect(change).toHaveBeenLastCalledWith('2026-06-02');
  input?.props.onChange({ currentTarget: { value: '' } });
  expect(change).toHaveBeenLastCalledWith(undefined);
});
