// What is read off photos.
import {
  labFromRgb,
  tonesAround,
  tonesAtPlaces,
  tonesOfSwatch,
  tonesWithin,
  type Tones,
} from '@/core/colour';
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
import { job, type Outcome, type Progress } from './job';

/** A photo whose colours were changed, and what was done to it. */
export type Recoloured = StoredPicture & { words: string };

export const readings = ({ redraw, photo, jpegOf, decode, prepared, storedFrom }: Darkroom) => ({
  storePicture(id: number, file: Blob, name: string): Promise<Outcome<StoredPicture>> {
    return job(id, undefined, () => prepared(file, name));
  },

  /** The face as seen square on, to scale. */
  rectify(id: number, view: FaceView, onProgress?: Progress): Promise<Outcome<Blob>> {
    return job(id, onProgress, async (context) => jpegOf(await redraw(view, context), 0.9));
  },

  tonesAround(
    id: number,
    view: FaceView,
    damage: Polygon,
    others: Polygon[],
    face: Polygon,
  ): Promise<Outcome<Tones>> {
    return job(id, undefined, async (context) =>
      tonesAround(await redraw(view, context), view.mmPerPixel, damage, others, face),
    );
  },

  tonesWithin(id: number, view: FaceView, place: Polygon, face: Polygon): Promise<Outcome<Tones>> {
    return job(id, undefined, async (context) =>
      tonesWithin(await redraw(view, context), view.mmPerPixel, place, face),
    );
  },

  /** @param places on the view, mm */
  tonesAt(id: number, view: FaceView, places: Point[], face: Polygon): Promise<Outcome<Tones>> {
    return job(id, undefined, async (context) =>
      tonesAtPlaces(await redraw(view, context), view.mmPerPixel, places, face),
    );
  },

  swatchTones(id: number, pictureId: string): Promise<Outcome<Tones>> {
    return job(id, undefined, async () => tonesOfSwatch(await photo(pictureId)));
  },

  fileTones(id: number, file: Blob, name: string): Promise<Outcome<Tones>> {
    return job(id, undefined, async () => {
      const { jpeg } = await prepared(file, name);
      return tonesOfSwatch(await decode(new Blob([bytesOf(jpeg)], { type: 'image/jpeg' })));
    });
  },

  /** @param loose outline of the blister in the view's own frame, mm */
  quietSlit(id: number, view: FaceView, loose: Polygon, grainDeg: number): Promise<Outcome<QuietSlit>> {
    return job(id, undefined, async (context) =>
      quietSlit(
        {
          picture: await redraw(view, context),
          mmPerPixel: view.mmPerPixel,
          lightness: (r, g, b) => labFromRgb(r, g, b)[0],
        },
        loose,
        grainDeg,
      ),
    );
  },

  /** The card of a surface. @param wideMm what its photo shows from left to right */
  woodCard(id: number, pictureId: string, wideMm: number): Promise<Outcome<WoodCard>> {
    return job(id, undefined, async () => {
      const picture = await photo(pictureId);
      return woodCard(picture, wideMm / picture.width);
    });
  },

  /** The card of the sound wood round a damage. */
  cardAround(
    id: number,
    view: FaceView,
    damage: Polygon,
    others: Polygon[],
    face: Polygon,
  ): Promise<Outcome<WoodCard>> {
    return job(id, undefined, async (context) =>
      cardAround(await redraw(view, context), view.mmPerPixel, damage, others, face),
    );
  },

  /** An outline along the figure's lines, in the view. @param damage in the view, mm */
  trace(
    id: number,
    view: FaceView,
    damage: Polygon,
    marginMm: number,
    slantDeg: number,
  ): Promise<Outcome<Traced | undefined>> {
    return job(id, undefined, async (context) =>
      traceToFigure(await redraw(view, context), view.mmPerPixel, damage, marginMm, slantDeg),
    );
  },

  /** Where the known thing lies in a photo, or its corners moved onto the edges. */
  known(
    id: number,
    pictureId: string,
    object: KnownThing,
    near: Point[] | undefined,
    onProgress?: Progress,
  ): Promise<Outcome<KnownFound>> {
    return job(id, onProgress, async (context) =>
      findKnown({ image: await photo(pictureId), object, ...(near ? { near } : {}) }, context),
    );
  },

  corners(id: number, pictureId: string): Promise<Outcome<PhotoCorner[]>> {
    return job(
      id,
      undefined,
      async (context) => (await findCorners({ image: await photo(pictureId) }, context)).corners,
    );
  },

  /** The outline of what was tapped on a face, mm; nothing where nothing stands out. */
  region(id: number, view: FaceView, [x, y]: Point): Promise<Outcome<Point[]>> {
    return job(id, undefined, async (context) => {
      const image = await redraw(view, context);
      const [wide, tall] = [image.width * view.mmPerPixel, image.height * view.mmPerPixel];
      return findRegion({ image, at: [x / wide, y / tall] }).outline.map(([u, v]): Point => [
        u * wide,
        v * tall,
      ]);
    });
  },

  /** A photo with its colours set right by a card in it, as a new one. */
  calibrate(
    id: number,
    pictureId: string,
    card: CalibrationCard,
    corners: Point[],
  ): Promise<Outcome<Recoloured>> {
    return job(id, undefined, async () => {
      const image = await photo(pictureId);
      const found = calibrate({ image, card, corners });
      return { ...(await storedFrom(recoloured(image, found.matrix))), words: calibrationWords(found, card) };
    });
  },

  /** A photo without the slow change of light over a place that is even. @param within corners as fractions */
  evenLight(id: number, pictureId: string, within: Point[]): Promise<Outcome<Recoloured>> {
    return job(id, undefined, async () => {
      const image = await photo(pictureId);
      const { picture, uneven } = evenLight(
        image,
        within.map(([x, y]): Point => [x * image.width, y * image.height]),
      );
      return { ...(await storedFrom(picture)), words: evenLightWords(uneven) };
    });
  },

  quality(id: number, pictureId: string): Promise<Outcome<PhotoQuality>> {
    return job(id, undefined, async () => photoQuality({ image: await photo(pictureId) }));
  },

  /** A stroke laid on the crack beside it. @param line in the view's own frame, mm */
  crack(id: number, view: FaceView, line: Point[]): Promise<Outcome<CrackFound>> {
    return job(id, undefined, async (context) => {
      const k = view.mmPerPixel;
      const px = line.map(([x, y]): Point => [x / k, y / k]);
      const found = snapToCrack({ image: await redraw(view, context), line: px, mmPerPixel: k });
      return { ...found, line: found.line.map(([x, y]): Point => [x * k, y * k]) };
    });
  },

  /** How wide a joint gapes at places along it. @param line its ends in the view's own frame, mm */
  gaps(id: number, view: FaceView, line: Point[], stations: number): Promise<Outcome<GapsFound>> {
    return job(id, undefined, async (context) => {
      return readGaps({
        image: await redraw(view, context),
        line: line.map(([x, y]): Point => [x / view.mmPerPixel, y / view.mmPerPixel]),
        mmPerPixel: view.mmPerPixel,
        stations,
        reachMm: GAP_REACH_MM.value,
      });
    });
  },

  /** The way of the grain in a part of a face, and how surely. */
  grain(id: number, view: FaceView, within: Polygon): Promise<Outcome<GrainRead>> {
    return job(id, undefined, async (context) =>
      readGrain(await redraw(view, context), view.mmPerPixel, within),
    );
  },

  /** Where the grain of a sunburst runs to. */
  centre(id: number, view: FaceView, within: Polygon): Promise<Outcome<CentreRead>> {
    return job(id, undefined, async (context) =>
      readCentre(await redraw(view, context), view.mmPerPixel, within),
    );
  },
});
