// A small shop for tests of whole pages: records in a store of their own, real sums, no browser and no worker.
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react-native';
import type { ReactElement, ReactNode } from 'react';
import { Text } from 'react-native';
import { compute } from '@/core/computations';
import type { Point } from '@/core/geometry';
import {
  browserStore,
  createRecord,
  newDamage,
  newFace,
  newPiece,
  type Bodies,
  type Damage,
  type Face,
  type Kind,
  type Piece,
} from '@/records';
import { designPatch } from '@/core/veneer';
import { ToastHost } from '@/ui';
import { cuttingOf } from '@/worker/cutting';
import { createPlanner } from '@/worker/planning';
import { plans } from '@/worker/plans';
import type { Jobs } from '@/worker/shop.worker';

const WHOLE: Point[] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore
const WHEN = '2026-03-02T09:00:00';

/** A veneered top of 600 × 450 mm without a photo, its grain from left to right. */
const TOP: Partial<Face> = {
  species: 'walnut',
  veneerMm: 0.8,
  boardMm: 18,
  scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm: 600, heightMm: 450 },
  faceCorners: WHOLE,
  grain: [[0.1, 0.5], [0.9, 0.5]], // prettier-ignore
};

/** Places on the top, mm, as the fractions that are stored. */
export const onTop = (points: readonly Point[]): Point[] => points.map(([x, y]): Point => [x / 600, y / 450]);

/** A strip loose along the front edge, and a place out of reach in the middle. */
export const LIFTED = onTop([[120, 0], [300, 0], [300, 55], [120, 55]]); // prettier-ignore
export const IN_THE_MIDDLE = onTop([[250, 195], [350, 195], [350, 255], [250, 255]]); // prettier-ignore

let boxes = 0;

/** The photo that a record is about to show; once is enough. */
export async function photoOf({
  id,
  widthPx = 8,
  heightPx = 6,
}: Partial<NonNullable<Face['picture']>> & { id: string }): Promise<void> {
  const picture = { name: `${id}.jpg`, widthPx, heightPx, jpeg: '/9jAAAA' };
  if (!(await browserStore.get('picture', id))) await browserStore.create('picture', id, picture);
}

/** Puts a writing box with one damage on its top into the store; `bare`: nothing is known of the top. Gives the names of its records. */
export async function boxWith(
  damage: Partial<Damage>,
  more: { piece?: Partial<Piece>; face?: Partial<Face>; bare?: boolean } = {},
): Promise<{ piece: string; face: string; damage: string }> {
  const n = ++boxes;
  const ids = { piece: `box${n}`, face: `top${n}`, damage: `d${n}` };
  const kind = damage.kind ?? 'liftedEdge';
  await act(async () => {
    await createRecord('piece', { ...newPiece(`Writing box ${n}`, WHEN), ...more.piece }, ids.piece);
    const top: Face = { ...newFace(ids.piece, 'Top'), ...(more.bare ? {} : TOP), ...more.face };
    const { picture } = top;
    if (picture) await photoOf(picture);
    await createRecord('face', top, ids.face);
    const body = { ...newDamage(ids.piece, ids.face, 1, kind), outline: LIFTED, ...damage };
    await createRecord('damage', body, ids.damage);
  });
  return ids;
}

/** What is stored of a record now. */
export const stored = async <K extends Kind>(kind: K, id: string): Promise<Bodies[K] | undefined> =>
  (await browserStore.get(kind, id))?.body;

/** A page as it stands in the app. */
const show = (page: ReactElement): void => void render(<ToastHost bottom={0}>{page}</ToastHost>);

/** Shows a page at its address and waits until it says so. */
export async function openPage(
  page: ReactElement,
  params: Record<string, string>,
  until: string | RegExp,
): Promise<void> {
  route.params = params;
  route.went = [];
  show(page);
  await waitFor(() => expect(screen.getAllByText(until).length).toBeGreaterThan(0), { timeout: 15_000 });
}

/** A figure as it is read out: “Clamps: 4 of 6, firm by hand”. */
export function said(label: string): string {
  const [found] = screen.getAllByRole('button', { name: new RegExp(`^${label}:`) });
  return String(found?.props.accessibilityLabel ?? found?.props['aria-label'] ?? '');
}

export const numberIn = (text: string): number => Number(/-?[\d.]+/.exec(text)?.[0]);

/** Types into a field and leaves it. */
export async function type(label: string, text: string): Promise<void> {
  await act(async () => void fireEvent.changeText(screen.getByLabelText(label), text));
  await act(async () => void fireEvent(screen.getByLabelText(label), 'blur'));
}

/** Presses what is called so; of several the last, which lies in the fold that the first has opened. */
export const press = async (label: string): Promise<void> =>
  act(async () => {
    const found = screen.getAllByLabelText(label);
    fireEvent.press(found[found.length - 1] ?? screen.getByLabelText(label));
  });

/** Presses a button once more, when it could not be the second tap of the same hand. */
export async function pressAgain(label: string): Promise<void> {
  await act(() => new Promise((resolve) => setTimeout(resolve, 800)));
  await press(label);
}

/** In the place of `expo-router`: where the page is, and where it went. */
export const route: { params: Record<string, string>; went: string[] } = { params: {}, went: [] };

export const routerMock = {
  useLocalSearchParams: () => route.params,
  usePathname: () => '/',
  router: {
    push: (href: string) => void route.went.push(href),
    replace: (href: string) => void route.went.push(href),
    back: () => undefined,
  },
  Link: ({ children, ...props }: { children: ReactNode; 'aria-label'?: string }) => (
    <Text role="link" aria-label={props['aria-label']}>
      {children}
    </Text>
  ),
};

const planner = createPlanner(browserStore);

/** The worker's jobs on the spot, with the same sums; those that are not here read a photo. */
export const workerJobs: Partial<Jobs> = {
  ...plans(planner),
  front: () => planner.front(undefined),
  days: ({ at }) => planner.days(at),
  cutting: () => cuttingOf(browserStore, {}),
  design: (input) => designPatch(input),
  trace: () => Promise.resolve(undefined),
  corners: () => Promise.resolve([]),
};

const noPhoto = (): Promise<never> => Promise.reject(new RangeError('No photo can be read here.'));

/** In the place of the worker. @param own jobs that a test does in its own way */
export const workerWith = (own: Partial<Jobs>) => ({
  compute: (name: string, input: unknown): Promise<unknown> => compute(name, input),
  call: (name: keyof Jobs, input: never): Promise<unknown> =>
    (own[name] ?? workerJobs[name] ?? noPhoto)(input, {}),
});

export const workerMock = workerWith({});
