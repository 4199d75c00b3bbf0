import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Polygon } from 'react-native-svg';
import { boundingBox, rotate, type Point } from '@/core/geometry';
import { designFor, inPicture, tracingOf, type Surveyed } from '@/core/job';
import { describeSource } from '@/core/sources';
import { formatLength } from '@/core/units';
import { PATCH_DEFAULTS, PATCH_SHAPES, SEAM_SOURCE, type Design, type Patch } from '@/core/veneer';
import type { PatchChoice, Piece, Stored } from '@/records';
import {
  Button,
  Chips,
  Fold,
  LengthField,
  LitCard,
  materials,
  optionsOf,
  Progress,
  Section,
  Stepper,
  Text,
} from '@/ui';
import { call } from '@/worker';
import { useLong } from '../shared/useLong';
import { useUnits } from '../shared/useUnits';

const SLANT = { least: 15, most: 75 };

/** The outline that is seen least, with what else it could be; and its sizes by hand. */
export function OutlineSection({
  damage,
  face,
  piece,
  survey,
  patch,
  onChange,
}: {
  damage: Stored<'damage'>;
  face: Stored<'face'>;
  piece: Piece;
  survey: Surveyed;
  patch: Patch | undefined;
  onChange: (patch: PatchChoice) => void;
}) {
  const { unit, length, area } = useUnits();
  const { going, cancel, begin } = useLong();
  const [found, setFound] = useState<readonly Design[]>();
  const choice = damage.body.patch;
  const find = (): void =>
    begin('Trying every shape and slant', async (options) => {
      const input = designFor(damage.body, survey, piece);
      const pictureId = face.body.picture?.id;
      const tracing = pictureId ? tracingOf(survey.board, pictureId, survey.outline) : undefined;
      const traced = tracing
        ? await call(
            'trace',
            {
              view: tracing.view,
              damage: tracing.damage,
              marginMm: input.marginMm,
              slantDeg: PATCH_DEFAULTS.slantDeg.value,
            },
            options,
          )
        : undefined;
      const onFace = tracing && traced && { outline: traced.outline.map(tracing.out), onLine: traced.onLine };
      const { ranked } = await call('design', { ...input, ...(onFace ? { traced: onFace } : {}) }, options);
      setFound(ranked);
    });
  const take = ({ shape, slantDeg, patch: { outline } }: Design): void =>
    shape === 'traced'
      ? onChange({ own: outline.map((p) => inPicture(survey.board, p)) })
      : onChange({ shape, slantDeg, own: undefined });
  return (
    <Section title="The outline that is seen least" help={describeSource(SEAM_SOURCE)}>
      {going ? (
        <Progress label={going.label} fraction={going.fraction} onCancel={cancel} />
      ) : (
        <Button
          label={found ? 'Try the shapes again' : 'Find the outline that is seen least'}
          onPress={find}
        />
      )}
      {found?.map((design, i) => (
        <LitCard
          key={design.shape}
          eyebrow={i === 0 ? 'Seen least' : `Runner-up ${i}`}
          title={
            design.shape === 'traced'
              ? 'Traced to the figure'
              : `${PATCH_SHAPES[design.shape].split(':')[0] ?? ''}, slant ${design.slantDeg ?? 0}°`
          }
        >
          <OutlineDrawing design={design} damage={survey.outline} grainDeg={survey.board.grainDeg} />
          <Text>
            {`${length(design.seamMm)} of seam, seen like ${length(design.seenMm)} square across the grain; ${area(design.soundMm2)} of sound wood is cut away.`}
          </Text>
          <Button label="Take this outline" name={`Take outline ${i + 1}`} onPress={() => take(design)} />
        </LitCard>
      ))}
      <Fold title="Change the shape">
        <Chips
          label="Shape"
          options={optionsOf(PATCH_SHAPES)}
          value={patch?.shape === 'own' ? undefined : patch?.shape}
          onChange={(shape) => onChange({ shape, own: undefined })}
        />
        <LengthField
          label="Into sound wood"
          help={describeSource(PATCH_DEFAULTS.marginMm.source)}
          valueMm={choice.marginMm ?? PATCH_DEFAULTS.marginMm.value}
          unit={unit}
          check={upTo('The margin', 20)}
          onChange={(marginMm) => onChange({ marginMm })}
        />
        <LengthField
          label="Overhang at an edge"
          help={describeSource(PATCH_DEFAULTS.overhangMm.source)}
          valueMm={choice.overhangMm ?? PATCH_DEFAULTS.overhangMm.value}
          unit={unit}
          check={upTo('The overhang', 30)}
          onChange={(overhangMm) => onChange({ overhangMm })}
        />
        <Stepper
          label="Slant of the ends"
          help={describeSource(PATCH_DEFAULTS.slantDeg.source)}
          unit="°"
          value={choice.slantDeg ?? PATCH_DEFAULTS.slantDeg.value}
          least={SLANT.least}
          most={SLANT.most}
          step={5}
          onChange={(slantDeg) => onChange({ slantDeg, own: undefined })}
        />
      </Fold>
    </Section>
  );
}

const upTo =
  (what: string, most: number) =>
  (mm: number): void => {
    if (mm > most)
      throw new RangeError(`${what} has ${formatLength(mm, 'mm')}; up to ${most} mm make sense.`);
  };

/** The recess round the loss, its grain from left to right. */
function OutlineDrawing({
  design: { patch },
  damage,
  grainDeg,
}: {
  design: Design;
  damage: readonly Point[];
  grainDeg: number;
}) {
  const turned = (list: readonly Point[]): Point[] => list.map((p) => rotate(p, -grainDeg));
  const { left, right, top, bottom } = boundingBox(turned(patch.outline));
  const room = 0.08 * (right - left);
  const [w, h] = [right - left + 2 * room, bottom - top + 2 * room];
  const words = (list: readonly Point[]): string =>
    turned(list)
      .map((p) => p.join(','))
      .join(' ');
  return (
    <View role="img" aria-label="The outline round the loss, its grain from left to right">
      <Svg
        width="100%"
        height={Math.min(120, (300 * h) / w)}
        viewBox={`${left - room} ${top - room} ${w} ${h}`}
      >
        <Polygon
          points={words(patch.outline)}
          fill={materials.veneer}
          stroke={materials.lamp}
          strokeWidth={w / 150}
        />
        <Polygon points={words(damage)} fill={materials.core} />
      </Svg>
    </View>
  );
}
