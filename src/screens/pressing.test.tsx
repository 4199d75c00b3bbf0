import { fireEvent, render, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { adhesiveById } from '@/core/adhesive';
import { bedOf } from '@/core/stack';
import { clampById } from '@/core/press';
import { DEFAULT_SHOP, type Shop } from '@/records';
import { ToastHost } from '@/ui';
import { BoardsSection, ClampsSection, PaceFields } from './shop/PressKit';
import { CaseSide, CuppedBoard, Hammer } from './special/boards';
import { EdgeVeneer, HalfRound, RoundTop } from './special/rims';

const figure = (label: string): string => {
  const found = screen.getAllByRole('button', { name: new RegExp(`^${label}:`) })[0];
  return String(found?.props.accessibilityLabel ?? found?.props['aria-label'] ?? '');
};
const type = (label: string, text: string): void => {
  const field = screen.getByLabelText(label);
  fireEvent.changeText(field, text);
  fireEvent(field, 'blur');
};

describe('awkward shapes', () => {
  test('a strip over a straight edge; a thick one is too stiff for a curve', () => {
    render(
      <EdgeVeneer
        radiusMm={300}
        boardMm={18}
        lengthMm={600}
        bed={bedOf('beech', 18)}
        targetKPa={250}
        clamp={clampById('edge')}
      />,
    );
    const straight = figure('Clamps apart');
    fireEvent.press(screen.getByLabelText('Rubber, 3 mm'));
    expect(parseFloat(/([\d.]+)/.exec(figure('Clamps apart'))?.[1] ?? '0')).toBeGreaterThan(
      parseFloat(/([\d.]+)/.exec(straight)?.[1] ?? '0'),
    );
    fireEvent.press(screen.getByLabelText('Curved'));
    expect(screen.getByText('This strip is too stiff for the curve')).toBeOnTheScreen();
    fireEvent.press(screen.getByLabelText('Bending ply'));
    type('Thickness of the strip', '5');
    expect(screen.queryByText('This strip is too stiff for the curve')).toBeNull();
  });

  test('a half-round says where blocks are needed', () => {
    render(<HalfRound radiusMm={400} />);
    expect(screen.getAllByText(/Block cut to 72°/)).toHaveLength(2);
    expect(screen.getByText('Sandpaper under the jaw holds it')).toBeOnTheScreen();
  });

  test('a round whose band cannot pull enough is told so', () => {
    render(<RoundTop radiusMm={300} boardMm={18} targetKPa={250} band={clampById('band')} />);
    // 0.25 MPa × 300 mm × 18 mm = 1350 N, and a band gives 1000 N.
    expect(screen.getByText(/would have to pull 1\.4 kN.*That is not enough/)).toBeOnTheScreen();
  });

  test('a deep cup is left; a case too narrow for a prop is refused', () => {
    render(<CuppedBoard lengthMm={800} widthMm={200} boardMm={25} acrossMPa={600} />);
    type('Gap in the middle', '8');
    expect(screen.getByText('Do not force it flat')).toBeOnTheScreen();
    render(<CaseSide platenMm={25} clampN={2000} props={3} />);
    type('Clear width inside', '55');
    expect(screen.getByText(/there is no room for a prop in 55 mm/)).toBeOnTheScreen();
  });

  test('a hammered leaf that gels too soon is refused with a way out', () => {
    render(<Hammer alongMm={600} acrossMm={300} gelMin={3} glue={adhesiveById('hotHide')} />);
    expect(screen.getByText(/a section takes about/)).toBeOnTheScreen();
    type('Across the grain', '2900');
    expect(screen.getByText(/Warm the shop, the ground and the veneer/)).toBeOnTheScreen();
  });
});

describe('what the shop presses with', () => {
  let now: Shop = DEFAULT_SHOP;
  function Host() {
    const [shop, setShop] = useState(DEFAULT_SHOP);
    now = shop;
    const set = (patch: Partial<Shop>): void => setShop((s) => ({ ...s, ...patch }));
    return (
      <ToastHost bottom={0}>
        <ClampsSection shop={shop} set={set} />
        <BoardsSection shop={shop} set={set} />
        <PaceFields shop={shop} set={set} />
      </ToastHost>
    );
  }

  test('a force worked out from the turn is kept beside the count', () => {
    render(<Host />);
    fireEvent.press(screen.getByText('How hard yours press, from the turn on the screw'));
    // T / (K d) = 5 N·m / (0.2 · 12 mm) = 2083 N.
    fireEvent.press(screen.getByText('Use this for my F-style clamp'));
    expect(now.clamps.find((c) => c.id === 'fStyle')).toEqual({ id: 'fStyle', count: 6, forceN: 2083 });
    fireEvent.press(screen.getByLabelText('F-style clamp: more'));
    expect(now.clamps.find((c) => c.id === 'fStyle')).toEqual({ id: 'fStyle', count: 7, forceN: 2083 });
  });

  test('boards and pace are the shop’s own', () => {
    render(<Host />);
    fireEvent.press(screen.getByLabelText('25 mm'));
    expect(now.platens).toEqual([25]);
    const pace = screen.getByDisplayValue('30');
    fireEvent.changeText(pace, '20');
    fireEvent(pace, 'blur');
    expect(now.pace).toEqual({ spreadMinPer100Cm2: 1, secondsPerClamp: 20 });
  });
});
