// What is read off photos.
import {
  labFromRgb,
  tonesAround,
  tonesAtPlaces,
  tonesOfSwatch,
  tonesWithin,
  type Tones,
} from '@/core/colour';
import type { JobContext } from '@/core/check';
import type { Point, Polygon } from '@/core/geometry';
import { quietSlit, type QuietSlit } from '@/core/glueup';
import type { FaceView } from '@/core/job';
import {
  calibrate,
  calibrationWords,
  evenLight,
  evenLightWords,
  findCorners,
  findKnown,
  recoloured,
  snapToCrack,
  type CalibrationCard,
  type CrackFound,
  findRegion,
  photoQuality,
  type KnownFound,
  type PhotoCorner,
  type KnownThing,
  type PhotoQuality,
  GAP_REACH_MM,
  readGaps,
  type GapsFound,
} from '@/core/sight';
import {
  cardAround,
  readCentre,
  readGrain,
  type CentreRead,
  traceToFigure,
  woodCard,
  type GrainRead,
  type Traced,
  type WoodCard,
} from '@/core/veneer';
import { bytesOf } from '@/records/backup/bytes';
import type { Darkroom, StoredPicture } from './photos';

/** A photo whose colours were changed, and what was done to it. */
export type Recoloured = StoredPicture & { words: string };

type OfFile = { file: Blob; name: string };
type OfPhoto = { pictureId: string };
/** A damage on its face, all in the view's own frame, mm. */
type OnView = { view: FaceView; damage: Polygon; others: Polygon[]; face: Polygon };

export const readings = ({ redraw, photo, jpegOf, decode, prepared, storedFrom }: Darkroom) => ({
  storePicture: ({ file, name }: OfFile): Promise<StoredPicture> => prepared(file, name),

  /** The face as seen square on, to scale. */
  rectify: async ({ view }: { view: FaceView }, context: JobContext): Promise<Blob> =>
    jpegOf(await redraw(view, context), 0.9),

  /** The colour of the sound wood round a damage. */
  tonesAround: async ({ view, damage, others, face }: OnView, context: JobContext): Promise<Tones> =>
    tonesAround(await redraw(view, context), view.mmPerPixel, damage, others, face),

  /** The colour of a place itself. */
  async tonesWithin(
    { view, place, face }: { view: FaceView; place: Polygon; face: Polygon },
    context: JobContext,
  ): Promise<Tones> {
    return tonesWithin(await redraw(view, context), view.mmPerPixel, place, face);
  },

  /** The colour of sound wood at picked places. @param places on the view, mm */
  async tonesAt(
    { view, places, face }: { view: FaceView; places: Point[]; face: Polygon },
    context: JobContext,
  ): Promise<Tones> {
    return tonesAtPlaces(await redraw(view, context), view.mmPerPixel, places, face);
  },

  swatchTones: async ({ pictureId }: OfPhoto): Promise<Tones> => tonesOfSwatch(await photo(pictureId)),

  /** The tones of a photo that is not kept. */
  async fileTones({ file, name }: OfFile): Promise<Tones> {
    const { jpeg } = await prepared(file, name);
    return tonesOfSwatch(await decode(new Blob([bytesOf(jpeg)], { type: 'image/jpeg' })));
  },

  /** The calmest place to slit a blister. @param loose its outline in the view's own frame, mm */
  async quietSlit(
    { view, loose, grainDeg }: { view: FaceView; loose: Polygon; grainDeg: number },
    context: JobContext,
  ): Promise<QuietSlit> {
    const picture = await redraw(view, context);
    const lightness = (r: number, g: number, b: number): number => labFromRgb(r, g, b)[0];
    return quietSlit({ picture, mmPerPixel: view.mmPerPixel, lightness }, loose, grainDeg);
  },

  /** The card of a surface. @param wideMm what its photo shows from left to right */
  async woodCard({ pictureId, wideMm }: OfPhoto & { wideMm: number }): Promise<WoodCard> {
    const picture = await photo(pictureId);
    return woodCard(picture, wideMm / picture.width);
  },

  /** The card of the sound wood round a damage. */
  cardAround: async ({ view, damage, others, face }: OnView, context: JobContext): Promise<WoodCard> =>
    cardAround(await redraw(view, context), view.mmPerPixel, damage, others, face),

  /** An outline round a damage along the figure's lines; nothing where none can be followed. @param damage in the view, mm */
  async trace(
    { view, damage, marginMm, slantDeg }: { view: FaceView; damage: Polygon; marginMm: number; slantDeg: number }, // prettier-ignore
    context: JobContext,
  ): Promise<Traced | undefined> {
    return traceToFigure(await redraw(view, context), view.mmPerPixel, damage, marginMm, slantDeg);
  },

  /** Where a card, a sheet or the face lies in a photo. @param near corners to be moved onto the edges, in shares of the photo */
  async known(
    { pictureId, object, near }: OfPhoto & { object: KnownThing; near?: Point[] },
    context: JobContext,
  ): Promise<KnownFound> {
    return findKnown({ image: await photo(pictureId), object, ...(near ? { near } : {}) }, context);
  },

  /** Places of a photo where straight edges meet, for a dragged handle to catch on. */
  corners: async ({ pictureId }: OfPhoto, context: JobContext): Promise<PhotoCorner[]> =>
    (await findCorners({ image: await photo(pictureId) }, context)).corners,

  /** The outline of what was tapped on a face; empty where nothing stands out. @param at mm in the view's own frame */
  async region({ view, at: [x, y] }: { view: FaceView; at: Point }, context: JobContext): Promise<Point[]> {
    const image = await redraw(view, context);
    const [wide, tall] = [image.width * view.mmPerPixel, image.height * view.mmPerPixel];
    return findRegion({ image, at: [x / wide, y / tall] }).outline.map(([u, v]): Point => [
      u * wide,
      v * tall,
    ]);
  },

  /** A photo with its colours set right by a card in it, as a new one. @param corners of the card, as fractions */
  async calibrate({
    pictureId,
    card,
    corners,
  }: OfPhoto & { card: CalibrationCard; corners: Point[] }): Promise<Recoloured> {
    const image = await photo(pictureId);
    const found = calibrate({ image, card, corners });
    return { ...(await storedFrom(recoloured(image, found.matrix))), words: calibrationWords(found, card) };
  },

  /** A photo without the slow change of light over a place that is even. @param within its corners, as fractions */
  async evenLight({ pictureId, within }: OfPhoto & { within: Point[] }): Promise<Recoloured> {
    const image = await photo(pictureId);
    const { picture, uneven } = evenLight(
      image,
      within.map(([x, y]): Point => [x * image.width, y * image.height]),
    );
    return { ...(await storedFrom(picture)), words: evenLightWords(uneven) };
  },

  /** Whether a photo is sharp and well lit. */
  quality: async ({ pictureId }: OfPhoto): Promise<PhotoQuality> =>
    photoQuality({ image: await photo(pictureId) }),

  /** A stroke laid on the crack beside it. @param line in the view's own frame, mm */
  async crack({ view, line }: { view: FaceView; line: Point[] }, context: JobContext): Promise<CrackFound> {
    const k = view.mmPerPixel;
    const px = line.map(([x, y]): Point => [x / k, y / k]);
    const found = snapToCrack({ image: await redraw(view, context), line: px, mmPerPixel: k });
    return { ...found, line: found.line.map(([x, y]): Point => [x * k, y * k]) };
  },

  /** How wide a joint gapes at places along it, ends among them. @param line in the view's own frame, mm */
  async gaps(
    { view, line, stations }: { view: FaceView; line: Point[]; stations: number },
    context: JobContext,
  ): Promise<GapsFound> {
    return readGaps({
      image: await redraw(view, context),
      line: line.map(([x, y]): Point => [x / view.mmPerPixel, y / view.mmPerPixel]),
      mmPerPixel: view.mmPerPixel,
      stations,
      reachMm: GAP_REACH_MM.value,
    });
  },

  /** The way of the grain in a part of a face, and how surely. @param within its outline in the view's own frame, mm */
  async grain(
    { view, within }: { view: FaceView; within: Polygon },
    context: JobContext,
  ): Promise<GrainRead> {
    return readGrain(await redraw(view, context), view.mmPerPixel, within);
  },

  /** Where the grain of a sunburst runs to. @param within the face in the view's own frame, mm */
  async centre(
    { view, within }: { view: FaceView; within: Polygon },
    context: JobContext,
  ): Promise<CentreRead> {
    return readCentre(await redraw(view, context), view.mmPerPixel, within);
  },
});
