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

test('a picture at the shell door is a file: a square of a photo is found where it was', () => {
  const photo = { file: 'demo/pictures/worn-floor.png' };
  const input = {
    target: { image: photo, outline: [[100, 100], [150, 100], [150, 150], [100, 150]], ringMm: 12 },
    donor: { image: photo, outline: [[0, 0], [512, 0], [512, 512], [0, 512]] },
    mmPerPixel: 1,
    grainToleranceDegrees: 3,
    flips: false,
    top: 1,
  }; // prettier-ignore
  const { stdout, stderr } = run('veneer.place', JSON.stringify(input));
  expect(stderr).toBe('');
  expect(JSON.parse(stdout).placements[0]).toMatchObject({ xMm: expect.closeTo(125, 0), yMm: expect.closeTo(125, 0), degrees: expect.closeTo(0, 0), flipped: false }); // prettier-ignore
  const none = run('veneer.place', JSON.stringify({ ...input, donor: { ...input.donor, image: { file: 'demo/pictures/NOTICE.md' } } })); // prettier-ignore
  expect([none.stderr.includes('neither a PNG nor a JPEG'), none.stdout, none.status]).toEqual([true, '', 2]);
});
