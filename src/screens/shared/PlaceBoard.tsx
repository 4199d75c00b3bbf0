import { damageLabel, type Repair } from '@/core/job';
import type { Stored } from '@/records';
import { FaceBoard } from './FaceBoard';

/** Round a place so much of its face is shown. mm. */
const AROUND_MM = 60;

/** A place on its face, to be looked at and not moved; the whole face while it has no size. */
export const PlaceBoard = ({
  damage,
  face,
  onFace,
  survey,
  phoneHeight = 180,
}: {
  damage: Stored<'damage'>;
  face: Stored<'face'>;
  onFace: Stored<'damage'>[];
  survey: Repair['survey'];
  phoneHeight?: number;
}) => (
  <FaceBoard
    key={damage.id}
    face={face}
    damages={onFace}
    current={damage.id}
    still
    label={damageLabel(damage.body)}
    phoneHeight={phoneHeight}
    {...(survey.ok ? { focus: { outline: survey.value.outline, marginMm: AROUND_MM } } : {})}
  />
);
