// No sum throws in a page: damages of every kind, as small and as large as they can be marked, on every page that reckons with them.
import { act, render, screen, waitFor } from '@testing-library/react-native';
import { ErrorBoundary } from 'react-error-boundary';
import { DAMAGE_KINDS, type DamageKind, type Mark } from '@/core/damage';
import type { Damage, Face } from '@/records';
import { boxWith, route } from '@/testing/room';
import { ToastHost } from '@/ui';
import * as workshop from './workshop';

jest.mock('expo-router', () => jest.requireActual('@/testing/room').routerMock);
jest.mock('@/worker', () => ({
  ...jest.requireActual('@/testing/room').workerMock,
  compute: () => new Promise(() => undefined),
}));
jest.setTimeout(300_000);

const w = workshop;
const PAGES = {
  decide: w.DecideScreen, press: w.PressScreen, special: w.SpecialScreen, glueUp: w.GlueUpScreen, joint: w.JointScreen,
  patch: w.PatchScreen, blend: w.BlendScreen, sheet: w.SheetScreen, movement: w.MovementScreen, mark: w.MarkScreen, tap: w.TapScreen,
}; // prettier-ignore

type Size = 'least' | 'most';
const SPAN: Record<Size, number> = { least: 1e-6, most: 1 };

/** A mark of a kind's own tool at one end of what can be marked. */
function extreme(kind: DamageKind, size: Size): Partial<Damage> {
  const s = SPAN[size];
  const mm = size === 'least' ? 0.5 : 1500;
  const marks: Partial<Record<Mark['tool'], Damage['mark']>> = {
    line: { tool: 'line', points: [[0.5, 0.5], [0.5 + s / 2, 0.5]], widthMm: size === 'least' ? 0.05 : 60 },
    circle: { tool: 'circle', at: [0.5, 0.5], diameterMm: mm },
    edge: { tool: 'edge', from: [0, 0], to: [s, 0], reachMm: mm },
    corner: { tool: 'corner', at: [0, 0], legsMm: [mm, mm] },
  }; // prettier-ignore
  const mark = marks[DAMAGE_KINDS[kind].tool];
  return mark ? { mark, outline: [] } : { outline: [[0, 0], [s, 0], [s, s], [0, s]] }; // prettier-ignore
}

const FACES: Record<string, Partial<Face>> = {
  'the thinnest veneer': { build: 'mdf', veneerMm: 0.2, boardMm: 1 },
  'a solid beam': { build: 'solid', veneerMm: 0, boardMm: 100 },
};

const kinds = Object.keys(DAMAGE_KINDS) as DamageKind[];

test.each(kinds.flatMap((kind) => (['least', 'most'] as const).map((size) => [kind, size] as const)))(
  '%s, at its %s',
  async (kind, size) => {
    const broken: string[] = [];
    for (const [on, face] of Object.entries(FACES)) {
      const ids = await boxWith({ kind, ...extreme(kind, size) }, { face });
      for (const [name, Screen] of Object.entries(PAGES)) {
        route.params = { id: ids.damage };
        const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
        const page = render(
          <ErrorBoundary
            fallbackRender={({ error }) => {
              broken.push(`${name} on ${on}: ${error instanceof Error ? error.message : String(error)}`);
              return null;
            }}
          >
            <ToastHost bottom={0}>
              <Screen />
            </ToastHost>
          </ErrorBoundary>,
        );
        await waitFor(() => expect(screen.queryByText('One moment.')).toBeNull(), { timeout: 10_000 });
        await act(async () => void (await new Promise((resolve) => setTimeout(resolve, 5))));
        page.unmount();
        quiet.mockRestore();
      }
    }
    expect([...new Set(broken)]).toEqual([]);
  },
);
