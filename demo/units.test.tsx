// Every page of the demo in the units of another shop: no metric figure is left where inches are chosen, and none of the others
// where millimetres are.
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react-native';
import type { ComponentType } from 'react';
import { View } from 'react-native';
import { DEFAULT_SHOP } from '../src/core/job';
import type { ShopUnits } from '../src/core/units';
import { changeShop, importRecords, type AnyStored } from '../src/records';
import * as workshop from '../src/screens/workshop';
import { route } from '../src/testing/room';
import { ToastHost, UnitsContext } from '../src/ui';
import { readingRoom } from './scenario';

jest.mock('expo-router', () => jest.requireActual('../src/testing/room').routerMock);
jest.mock('@/worker', () => {
  // No photo is opened here; two colours that were once read stand for all of them.
  const bare = { ground: [70, 8, 20], mean: [60, 10, 22], line: [45, 12, 20], coherence: 0.8, pixels: 5000 };
  const old = { ground: [55, 12, 24], mean: [45, 14, 24], line: [32, 14, 20], coherence: 0.8, pixels: 5000 };
  const never = (): Promise<never> => new Promise(() => undefined);
  return {
    ...jest.requireActual('../src/testing/room').workerMock,
    rectifyFace: never,
    quietSlitInPhoto: never,
    tonesAroundDamage: async () => old,
    tonesOfPlace: async () => bare,
    swatchTones: async () => bare,
  };
});
jest.setTimeout(600_000);

const METRIC =
  /(?<![\w.])\d[\d.,/]*\s?(?:mm|cm|m|mm²|cm²|m²|kPa|MPa|GPa|N|kN|N·m|g|kg|ml|l|g\/m²|kg\/m³)(?![\w²³·/])|°C/;
const CUSTOMARY = /(?<![\w.])\d[\d.,/]*\s?(?:in|ft|in²|ft²|psi|lbf|oz|lb|fl oz|tsp|qt|oz\/ft²)(?![\w²³/])|°F/;

/** The two scales to choose from, and what the owner wrote of the hinges, which stands as it was typed. */
const ALLOWED = ['°C', '°F', 'Two are 6 mm long; they sit over the lock'];

let records: AnyStored[] = [];
const ids = (kind: AnyStored['kind']): string[] => records.filter((r) => r.kind === kind).map((r) => r.id);

type Visit = [name: string, Screen: ComponentType, params: Record<string, string>];

function visits(): Visit[] {
  const w = workshop;
  const of = (name: string, Screen: ComponentType, list: string[]): Visit[] =>
    list.map((id) => [`${name} ${id}`, Screen, { id }]);
  const damages = ids('damage');
  return [
    ...of('trail', w.TrailScreen, ids('piece')),
    ...of('about', w.AboutScreen, ids('piece')),
    ...of('plan', w.PlanScreen, ids('piece')),
    ...of('parts', w.PartsScreen, ids('piece')),
    ...of('record', w.RecordScreen, ids('piece')),
    ...of('report', w.ReportScreen, ids('piece')),
    ...of('ways', w.WaysScreen, ids('piece')),
    ...of('face', w.FaceScreen, ids('face')),
    ...of('scale', w.ScaleScreen, ids('face')),
    ...of('grain', w.GrainScreen, ids('face')),
    ...of('tests', w.TestsScreen, ids('face')),
    ...of('mark', w.MarkScreen, damages),
    ...of('tap', w.TapScreen, damages),
    ...of('decide', w.DecideScreen, damages),
    ...of('movement', w.MovementScreen, damages),
    ...of('press', w.PressScreen, damages),
    ...of('special', w.SpecialScreen, damages),
    ...of('glue-up', w.GlueUpScreen, damages),
    ...of('joint', w.JointScreen, damages),
    ...of('patch', w.PatchScreen, damages),
    ...of('blend', w.BlendScreen, damages),
    ...of('sheet', w.SheetScreen, damages),
    ...of('veneer', w.VeneerScreen, ids('veneer').slice(0, 2)),
    ['stock', w.StockScreen, {}],
    ['shop', w.ShopScreen, {}],
    ['quick', w.QuickScreen, {}],
    ['bench', w.BenchScreen, {}],
  ];
}

type Node = { type?: string; props?: Record<string, unknown>; children?: (Node | string)[] | null };

/** All that is shown or spoken: texts, names for readers that speak, and what stands in fields. */
function saidBy(node: Node | Node[] | string | null): string[] {
  if (node === null) return [];
  if (typeof node === 'string') return [node];
  if (Array.isArray(node)) return node.flatMap(saidBy);
  const { props = {}, children } = node;
  const spoken = ['aria-label', 'accessibilityLabel', 'value', 'placeholder'].flatMap((k) =>
    typeof props[k] === 'string' ? [String(props[k])] : [],
  );
  const parts = (children ?? []).flatMap(saidBy);
  // A text that is put together from parts is read as one.
  const whole = node.type === 'Text' ? [parts.join('')] : parts;
  return [...spoken, ...whole];
}

/** Opens whatever is folded, sources of figures too. */
async function openAll(): Promise<void> {
  for (let round = 0; round < 3; round++) {
    const closed = screen.queryAllByRole('button', { expanded: false });
    if (closed.length === 0) return;
    await act(async () => closed.forEach((b) => fireEvent.press(b)));
  }
}

async function walk(units: ShopUnits, wrong: RegExp): Promise<string[]> {
  await act(async () => {
    await importRecords(records);
    await changeShop(undefined, {
      ...DEFAULT_SHOP,
      lengthUnit: units.length,
      temperatureUnit: units.temperature,
    });
  });
  const found = new Set<string>();
  let shown = false;
  for (const [name, Screen, params] of visits()) {
    route.params = params;
    const page = (
      <View>
        <UnitsContext.Provider key={name} value={units}>
          <ToastHost bottom={0}>
            <Screen />
          </ToastHost>
        </UnitsContext.Provider>
      </View>
    );
    if (shown) screen.rerender(page);
    else render(page);
    shown = true;
    await waitFor(() => expect(screen.queryByText('One moment.')).toBeNull(), { timeout: 10_000 });
    await act(async () => void (await new Promise((resolve) => setTimeout(resolve, 30))));
    await openAll();
    for (const text of saidBy(screen.toJSON() as Node | Node[]))
      if (wrong.test(text) && !ALLOWED.includes(text)) found.add(`${name}: ${text.slice(0, 160)}`);
  }
  return [...found];
}

beforeAll(async () => {
  records = (await readingRoom()).filter((r) => r.kind !== 'shop');
});

test('with inches and Fahrenheit nothing metric is said', async () => {
  expect(await walk({ length: 'in', temperature: 'F' }, METRIC)).toEqual([]);
});

test('with millimetres and Celsius nothing else is said', async () => {
  expect(await walk({ length: 'mm', temperature: 'C' }, CUSTOMARY)).toEqual([]);
});
