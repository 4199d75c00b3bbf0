import { fireEvent, render, screen } from '@testing-library/react-native';
import { localFrom, minutesFrom } from '@/core/calendar';
import type { Bar } from '@/core/front';
import { methodById } from '@/core/catalogue';
import { rankMethods } from '@/core/method';
import { sandingBudget } from '@/core/sanding';
import { DEFAULT_SHOP, newDamage, newFace, newPiece } from '@/records/defaults';
import type { Bodies, Kind, Stored } from '@/records/types';
import { DayStrip } from './bench/DayStrip';
import { VeneerLeft } from './blend/VeneerLeft';
import { RankingView } from './decide/RankingView';
import { StackSection } from './press/StackSection';
import { recordPages } from '@/core/papers';

const NOW = '2026-03-02T08:00:00';
const record = <K extends Kind>(kind: K, id: string, body: Bodies[K]): Stored<K> => ({
  kind,
  id,
  version: 1,
  revision: 1,
  savedAt: NOW,
  body,
});
/** A drawing's own words for readers that speak. */
const saidBy = (role: string): string[] =>
  screen
    .UNSAFE_queryAllByProps({ role })
    .flatMap((v) => (typeof v.props['aria-label'] === 'string' ? [v.props['aria-label']] : []));

describe('the ranking', () => {
  const chip = rankMethods({
    damage: { kind: 'missingVeneer', areaMm2: 600, acrossMm: 25, atEdge: true, faceShare: 0.01 },
    surface: { build: 'solidCore', show: true, finishNow: 'shellac', goal: 'shellac', veneerMm: 0.9 },
    school: 'clear',
  });

  test('opens with the first method, its reasons and their sources, and the cautions before it', () => {
    render(<RankingView ranking={chip} />);
    expect(
      screen.getByText('On a face that shows, under a clear finish, only wood looks like wood.'),
    ).toBeOnTheScreen();
    expect(screen.getAllByText(/^Common practice\./).length).toBeGreaterThan(0);
    expect(screen.getByText('Before you begin')).toBeOnTheScreen();
    expect(screen.getByText(/local codes and licensed practice/)).toBeOnTheScreen();
    expect(screen.queryByText(/shows under a clear finish: it takes stain unevenly/)).toBeNull();
  });

  test('what is set aside opens to why', () => {
    render(<RankingView ranking={chip} />);
    const own = chip.excluded.filter((e) => e.because.some((b) => b.rule !== 'kind'));
    fireEvent.press(screen.getByLabelText(`Set aside (${own.length})`));
    expect(screen.getByText(/shows under a clear finish: it takes stain unevenly/)).toBeOnTheScreen();
    expect(screen.getByText('Polyester filler is opaque; only paint hides it.')).toBeOnTheScreen();
  });

  test('a method is chosen, and the chosen one is not offered again', () => {
    const choose = jest.fn();
    render(<RankingView ranking={chip} onChoose={choose} />);
    fireEvent.press(screen.getByLabelText('Choose this: Veneer patch'));
    expect(choose).toHaveBeenCalledWith('veneerPatch');
    screen.rerender(<RankingView ranking={chip} onChoose={choose} chosen="veneerPatch" />);
    expect(screen.queryByLabelText('Choose this: Veneer patch')).toBeNull();
    expect(screen.getByText('1. Veneer patch (chosen)')).toBeOnTheScreen();
  });

  test('a question that would change the answer comes first', () => {
    render(<RankingView ranking={chip} />);
    expect(screen.getByText('Can a hidden place of this piece give veneer?')).toBeOnTheScreen();
    expect(screen.getByText('“Yes” would put patch harvested from the piece first.')).toBeOnTheScreen();
  });

  test('when everything is ruled out the least bad stands with what forbids it and what would lift that', () => {
    const solid = rankMethods({
      damage: { kind: 'liftedEdge', areaMm2: 5000, atEdge: true },
      surface: { build: 'solid', show: true, finishNow: 'shellac', goal: 'shellac' },
      school: 'clear',
    });
    render(<RankingView ranking={solid} />);
    expect(screen.getByText('The least bad answer')).toBeOnTheScreen();
    expect(screen.getByText('The face is solid wood; there is no veneer to lay down.')).toBeOnTheScreen();
    expect(
      screen.getByText(/would not stand in the way if the face is veneered after all/),
    ).toBeOnTheScreen();
  });

  test('what is set aside can be chosen all the same', () => {
    const choose = jest.fn();
    render(<RankingView ranking={chip} onChoose={choose} />);
    const own = chip.excluded.filter((e) => e.because.some((b) => b.rule !== 'kind'));
    fireEvent.press(screen.getByLabelText(`Set aside (${own.length})`));
    fireEvent.press(screen.getByLabelText('Choose it all the same: Polyester filler'));
    expect(choose).toHaveBeenCalledWith('polyesterFiller');
  });

  test('a chain shows its links in the order of work, and another can be taken', () => {
    const mended = rankMethods({
      damage: {
        kind: 'chippedVeneer',
        areaMm2: 600,
        acrossMm: 25,
        atEdge: false,
        donor: false,
        edgeBanding: false,
        coreSound: false,
        faceShare: 0.01,
      },
      surface: { build: 'particleBoard', show: true, finishNow: 'lacquer', goal: 'lacquer', veneerMm: 0.6 },
      school: 'clear',
    });
    const taken = jest.fn();
    render(<RankingView ranking={mended} onLink={taken} />);
    const [first] = mended.ranked;
    const [link] = first?.links ?? [];
    expect(screen.getAllByText(/^1\. .*, then veneer patch/).length).toBeGreaterThan(0);
    expect(screen.getAllByText(/The core is not sound: it is mended first/).length).toBeGreaterThan(0);
    const other = link?.options.find((o) => o !== link.method) ?? 'leave';
    fireEvent.press(screen.getAllByLabelText(methodById(other).label)[0] ?? screen.root);
    expect(taken).toHaveBeenCalledWith(link, other);
  });
});

describe('drawings say what they show', () => {
  const at = (clock: string): string => `2026-03-02T${clock}:00`;
  const task = (id: string, start: string, attended: string, end: string): Bar => ({
    id,
    title: id,
    piece: 'Box',
    start: at(start),
    attendedEnd: at(attended),
    end,
    next: false,
    done: false,
    clamps: id === 'glue' ? { 'F-style clamp': 4 } : {},
  });

  test('a day with its steps and clamps; what runs over from the day before is running', () => {
    const bars = [
      task('glue', '16:00', '16:30', '2026-03-03T16:30:00'),
      task('sand', '09:00', '09:30', at('09:30')),
    ];
    render(
      <DayStrip day="2026-03-02" bars={bars} hours={{ from: 480, to: 1020 }} now="2026-03-02T10:00:00" />,
    );
    expect(saidBy('img')[0]).toBe('Day 2026-03-02: 09:00 sand, 16:00 glue');
    expect(screen.getByText('Clamps in use, at most: 4 × F-style clamp')).toBeOnTheScreen();
    screen.rerender(
      <DayStrip day="2026-03-03" bars={bars} hours={{ from: 480, to: 1020 }} now="2026-03-02T10:00:00" />,
    );
    expect(saidBy('img')[0]).toBe('Day 2026-03-03: running glue');
    screen.rerender(
      <DayStrip day="2026-03-09" bars={bars} hours={{ from: 480, to: 1020 }} now="2026-03-02T10:00:00" />,
    );
    expect(screen.getByText('Nothing on this day.')).toBeOnTheScreen();
  });

  test('the clamp stack and the veneer left', () => {
    const mm = (v: number): string => `${v.toFixed(2)} mm`;
    render(
      <>
        <StackSection
          label="Section with two clamps"
          clampsMm={[60, 150]}
          caulMm={{ length: 210, height: 38 }}
          platenAlongMm={[0, 210]}
          platenMm={18}
          veneerMm={0.9}
          coreMm={18}
          padMm={30}
          onMove={() => {}}
          onMoveEnd={() => {}}
        />
        <VeneerLeft budget={sandingBudget(0.9)} veneerMm={0.9} text={mm} />
      </>,
    );
    const said = saidBy('img');
    expect(saidBy('group')).toContain('Section with two clamps');
    expect(said.join()).toMatch(/Of 0\.90 mm stay 0\.\d\d mm in the field and 0\.\d\d mm at edges/);
  });

  test('a veneer that is sanded through shows nothing below zero', () => {
    render(<VeneerLeft budget={sandingBudget(0.2, 0.3)} veneerMm={0.2} text={(v) => v.toFixed(1)} />);
    expect(saidBy('img')[0]).toBe('Of 0.2 stay 0.0 in the field and 0.0 at edges'); // prettier-ignore
  });
});

test('the printed record holds damages, repairs with their reason, times, notes and photos', () => {
  const piece = record('piece', 'p', {
    ...newPiece('Lectern', NOW),
    client: 'Reading room',
    note: 'By the window.',
  });
  const face = record('face', 'f', {
    ...newFace('p', 'Slope'),
    picture: { id: 'x', widthPx: 40, heightPx: 30 },
  });
  const damage = record('damage', 'd', {
    ...newDamage('p', 'f', 1, 'liftedEdge'),
    method: 'leave',
    methodReason: 'The owner wants it so.',
  });
  const log = record('log', 'l', {
    pieceId: 'p',
    taskId: 't',
    title: 'Clean the glue line',
    doneAt: NOW,
    actualMin: 75,
    note: 'Two rags.',
    pictures: [{ pictureId: 'x', role: 'before' }],
  });
  const pages = recordPages({
    piece,
    faces: [face],
    damages: [{ ...damage, body: { ...damage.body, coats: [{ colourId: 'dye', coats: 2 }] } }],
    colourName: (id) => `brown ${id}`,
    log: [log],
    pictures: new Map([['x', { name: 'x', widthPx: 40, heightPx: 30, jpeg: '/9jAAAA' }]]),
    shop: DEFAULT_SHOP,
    length: (mm) => `${mm} mm`,
    area: (mm2) => `${mm2} mm²`,
  });
  const marks = pages.flatMap((p) => p.marks);
  const text = marks.flatMap((m) => (m.kind === 'text' ? [m.text] : [])).join(' ');
  for (const words of [
    'Lectern',
    'Reading room',
    'By the window.',
    'Lifted edge, no. 1',
    'Coloured with',
    '2 thin coats of brown dye',
    'The owner wants it so.',
    'Clean the glue line. Two rags.',
    '1 h 15 min',
    'Slope, as found',
  ]) {
    expect(text).toContain(words);
  }
  expect(marks.filter((m) => m.kind === 'picture')).toHaveLength(2);
  const [first] = marks.filter((m) => m.kind === 'picture');
  expect(first && first.widthMm / first.heightMm).toBeCloseTo(40 / 30, 6);
});

test('a clock without a zone goes there and back, over the end of a February', () => {
  expect(localFrom(minutesFrom('2028-02-28T23:30:00') + 60)).toBe('2028-02-29T00:30:00');
});
