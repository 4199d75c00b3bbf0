import { spawnSync } from 'node:child_process';
import path from 'node:path';

const run = (name: string, input: string) =>
  spawnSync('node', ['--import', 'tsx', 'scripts/core.ts', name], {
    input,
    cwd: path.join(__dirname, '..'),
    encoding: 'utf8',
  });

test('the shell door prints JSON on standard output alone', () => {
  const { stdout, stderr, status } = run('wood.moisture', '{"temperatureC":21,"relativeHumidity":0.5}');
  expect(JSON.parse(stdout)).toEqual({ moistureContent: expect.closeTo(0.0925, 4) });
  expect([stderr, status]).toEqual(['', 0]);
});

test.each([
  [
    'wood.moisture',
    '{"temperatureC":-40,"relativeHumidity":0.5}',
    'The temperature is -40 °C; it must lie between -5 °C and 60 °C.',
  ],
  ['wood.moisture', 'warm', 'The input is not JSON'],
  ['wood.moist', '{}', 'There is no computation “wood.moist”'],
])(
  '%s with %s: exit 2, the message on standard error, nothing on standard output',
  (name, input, message) => {
    const { stdout, stderr, status } = run(name, input);
    expect(stderr).toContain(message);
    expect([stdout, status]).toEqual(['', 2]);
  },
);
