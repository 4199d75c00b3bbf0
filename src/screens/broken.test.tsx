import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { ErrorBoundary } from 'react-error-boundary';
import { Text } from '@/ui';
import { route } from '@/testing/room';
import { Broken } from './shared/Broken';
import { problemOf, Trouble } from './shared/Trouble';
import { NotFoundScreen } from './shared/NotFoundScreen';

jest.mock('expo-router', () => jest.requireActual('@/testing/room').routerMock);

let faulty = true;
function Page() {
  if (faulty) throw new RangeError('The corner is 0.6 mm.');
  return <Text>Here it is</Text>;
}

test('a page that stops says what happened and what is safe, and works again when it can', () => {
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  render(
    <ErrorBoundary FallbackComponent={Broken}>
      <Page />
    </ErrorBoundary>,
  );
  expect(screen.getByText('This page stopped')).toBeTruthy();
  expect(screen.getByText('All that was saved is safe')).toBeTruthy();
  expect(screen.getByText('What happened: The corner is 0.6 mm.')).toBeTruthy();
  expect(screen.getByLabelText('Save a report to a file')).toBeTruthy();
  faulty = false;
  act(() => void fireEvent.press(screen.getByLabelText('Try again')));
  expect(screen.getByText('Here it is')).toBeTruthy();
  quiet.mockRestore();
});

test('an address that leads nowhere says so, and leads on', () => {
  render(<NotFoundScreen />);
  expect(screen.getByText('There is no such page')).toBeTruthy();
  route.went = [];
  act(() => void fireEvent.press(screen.getByLabelText('To the pieces')));
  expect(route.went).toEqual(['/']);
});

test('what stopped on its way is asked again with one tap; what was asked wrongly says what to do instead', () => {
  let asked = 0;
  const lost = problemOf(new Error('The part of the app that works things out stopped.'), () => asked++);
  const { rerender } = render(<Trouble problem={lost} title="No plan can be made" wayOn="Add a clamp." />);
  expect(screen.queryByText('No plan can be made')).toBeNull();
  act(() => void fireEvent.press(screen.getByLabelText('Try again')));
  expect(asked).toBe(1);
  const wrong = problemOf(new RangeError('There are no clamps.'), () => asked++);
  rerender(<Trouble problem={wrong} title="No plan can be made" wayOn="Add a clamp." />);
  expect(screen.getByText('No plan can be made')).toBeTruthy();
  expect(screen.getByText('There are no clamps. Add a clamp.')).toBeTruthy();
  expect(screen.queryByLabelText('Try again')).toBeNull();
});
