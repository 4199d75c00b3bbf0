import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { TextField } from './Fields';

const box = new Map<string, string>();
beforeAll(() => {
  Object.defineProperty(globalThis, 'localStorage', {
    configurable: true,
    value: {
      getItem: (k: string) => box.get(k) ?? null,
      setItem: (k: string, v: string) => void box.set(k, v),
      removeItem: (k: string) => void box.delete(k),
    },
  });
});
beforeEach(() => box.clear());

/** A field over a record that may refuse what is written. */
function Host({ takes = () => true, most = 20 }: { takes?: (text: string) => boolean; most?: number }) {
  const [value, setValue] = useState('as it was');
  return (
    <TextField
      label="Notes"
      value={value}
      most={most}
      onChange={async (text: string) => {
        if (takes(text)) setValue(text);
        return takes(text);
      }}
    />
  );
}
const field = () => screen.getByLabelText('Notes');
const typeIn = (text: string): void => void act(() => void fireEvent.changeText(field(), text));
const leave = () => act(async () => void fireEvent(field(), 'blur'));

test('what is typed is saved when the field is left', async () => {
  render(<Host />);
  typeIn('woodworm');
  await leave();
  expect(field().props.value).toBe('woodworm');
  expect(screen.queryByText(/Not saved yet/)).toBeNull();
  expect(box.size).toBe(0);
});

test('what is refused stays in the field, is marked, survives a reload, and can be tried again', async () => {
  let room = false;
  const first = render(<Host takes={() => room} />);
  typeIn('woodworm');
  await leave();
  expect(field().props.value).toBe('woodworm');
  expect(screen.getByText('Not saved yet. What you typed stands here.')).toBeTruthy();
  first.unmount();
  // The page is loaded anew; the record has what it had.
  render(<Host takes={() => room} />);
  expect(field().props.value).toBe('woodworm');
  expect(screen.getByText('Not saved yet. What you typed stands here.')).toBeTruthy();
  room = true;
  await act(async () => void fireEvent.press(screen.getByLabelText('Save it now')));
  expect(screen.queryByText(/Not saved yet/)).toBeNull();
  expect(box.size).toBe(0);
});

test('a limit is told while typing, nothing is cut off, and nothing too long is handed on', async () => {
  const takes = jest.fn(() => true);
  const first = render(<Host takes={takes} most={20} />);
  typeIn('nineteen letters...');
  expect(screen.getByText('1 letter left')).toBeTruthy();
  typeIn('twenty-three letters it');
  expect(screen.getByText(/^3 letters more than the 20 that can be kept/)).toBeTruthy();
  await leave();
  expect(takes).not.toHaveBeenCalled();
  expect(field().props.value).toBe('twenty-three letters it');
  first.unmount();
  render(<Host takes={takes} most={20} />);
  expect(field().props.value).toBe('twenty-three letters it');
});

test('text that the cursor has not left is handed on when the page is left', async () => {
  const takes = jest.fn(() => true);
  const page = render(<Host takes={takes} />);
  typeIn('half a thou');
  await act(async () => page.unmount());
  expect(takes).toHaveBeenCalledWith('half a thou');
});

test('a change that came from elsewhere is not hidden by what could not be saved before it', async () => {
  box.set('rustic-lantern.unsaved..Notes', JSON.stringify(['another text before', 'old thought']));
  render(<Host />);
  expect(field().props.value).toBe('as it was');
});
