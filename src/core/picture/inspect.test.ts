import { readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import jpeg from 'jpeg-js';
import { PNG } from 'pngjs';
import { inspectPicture } from './inspect';

const picture = (name: string): Uint8Array =>
  readFileSync(path.join(__dirname, '../../../demo/pictures', name));
const png = (width: number, height: number): Uint8Array => PNG.sync.write(new PNG({ width, height }));

test('real pictures pass', () => {
  expect(inspectPicture(picture('worn-floor.png'), 'a')).toEqual({
    type: 'png',
    widthPx: 512,
    heightPx: 512,
  });
  expect(inspectPicture(picture('green-pine-cladding.jpg'), 'b')).toEqual({
    type: 'jpeg',
    widthPx: 512,
    heightPx: 512,
  });
  const own = jpeg.encode({ data: Buffer.alloc(30 * 20 * 4), width: 30, height: 20 }, 80).data;
  expect(inspectPicture(own, 'c')).toEqual({ type: 'jpeg', widthPx: 30, heightPx: 20 });
});

test('an empty file', () => {
  expect(() => inspectPicture(new Uint8Array(), 'x.jpg')).toThrow('“x.jpg” is an empty file');
});

test('not an image', () => {
  expect(() => inspectPicture(Buffer.from('%PDF-1.7 hello'), 'x.jpg')).toThrow('not a PNG or JPEG picture');
});

test('a JPEG cut off anywhere after its head is said to be cut off or damaged', () => {
  const whole = picture('green-pine-cladding.jpg');
  fc.assert(
    fc.property(fc.integer({ min: 2, max: whole.length - 3 }), (n) => {
      expect(() => inspectPicture(whole.subarray(0, n), 'x.jpg')).toThrow(
        /is cut off|is damaged|not a PNG or JPEG/,
      );
    }),
  );
  expect(() => inspectPicture(whole.subarray(0, whole.length / 2), 'x.jpg')).toThrow(
    '“x.jpg” is cut off: its end is missing',
  );
});

test('a PNG cut off', () => {
  const whole = picture('worn-floor.png');
  expect(() => inspectPicture(whole.subarray(0, whole.length / 2), 'x.png')).toThrow('is cut off');
});

test('60 megapixels are refused by their size alone, before anything is decoded', () => {
  const small = Buffer.from(png(10, 10));
  small.writeUInt32BE(10_000, 16);
  small.writeUInt32BE(6_000, 20);
  expect(() => inspectPicture(small, 'huge.png')).toThrow(
    '“huge.png” has 60 megapixels; up to 50 can be opened safely',
  );
});

test('any bytes give an answer or a RangeError', () => {
  fc.assert(
    fc.property(
      fc.uint8Array({ maxLength: 400 }),
      fc.constantFrom<number[]>([], [0xff, 0xd8], [0x89, 0x50, 0x4e, 0x47]),
      (bytes, head) => {
        try {
          inspectPicture(Uint8Array.from([...head, ...bytes]), 'x');
        } catch (error) {
          expect(error).toBeInstanceOf(RangeError);
        }
      },
    ),
    { numRuns: 500 },
  );
});
