import { router, useLocalSearchParams } from 'expo-router';
import { adhesiveById, glueTimes, wantedPressure, type AdhesiveId } from '@/core/adhesive';
import { bedOf, COMMON_BOARD_MM } from '@/core/stack';
import { boundingBox, rotate, sides } from '@/core/geometry';
import { Button, Chips, Notice } from '@/ui';
import { cautionsOf } from '@/core/safety';
import { Cautions } from '../shared/Cautions';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { KeepFigures } from '../shared/kept';
import { useChange } from '../shared/useAct';
import { useDamageView } from '../shared/usePiece';
import { CaseSide, CuppedBoard, Hammer } from './boards';
import { EdgeVeneer, HalfRound, RoundTop } from './rims';
import { clampOf, damageLabel, gluing, pressPlan, surfaceRisk, surveyed, waysOf } from '@/core/job';
import { attempt } from '@/core/check';

const CASES = {
  edge: 'Veneer on an edge, or a narrow strip',
  half: 'Half-round top',
  round: 'Round top',
  cup: 'Cupped board',
  case: 'Side of a case that stays together',
  hammer: 'Hammer veneering',
} as const;
type Case = keyof typeof CASES;
const CASE_IDS = Object.keys(CASES) as Case[];

const HOT_HIDE: readonly AdhesiveId[] = ['hotHideSlow', 'hotHide', 'hotHideFast'];

/** Pressing where a flat platen and straight cauls do not do: figures for each awkward shape. */
export function SpecialScreen() {
  const change = useChange();
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = useDamageView(id);
  const { damage, face, piece, method, treated, shop } = view;
  if (!damage || !piece || !treated || !method || !face)
    return <Missing what="This damage" loading={view.loading} />;
  const survey = surveyed(damage.body, face.body);
  const shape = face.body.shape?.kind;
  const start: Case = shape === 'halfRound' ? 'half' : shape === 'round' ? 'round' : 'edge';
  const kept = damage.body.figures?.['awkward.shape'];
  const which = CASE_IDS.find((c) => c === kept) ?? start;
  const { adhesive: glue } = gluing(treated, method, view.glue.adhesive, shop);
  const glueId = glue.id;
  const boardMm = face.body.boardMm ?? COMMON_BOARD_MM.value;
  const bed = bedOf(face.body.species, boardMm);
  const targetKPa = view.glue.targetKPa ?? wantedPressure(glue, waysOf(treated).glueAndForce).value;
  const press = survey.ok ? pressPlan(treated, method, damage.body, survey.value, shop) : undefined;
  const outline = survey.ok ? survey.value.outline : [];
  const faceOutline = survey.ok ? survey.value.board.plane.outline : [];
  const box = survey.ok ? boundingBox(faceOutline) : { left: 0, right: 600, top: 0, bottom: 400 };
  const sizes = { widthMm: box.right - box.left, heightMm: box.bottom - box.top };
  const longestMm = Math.max(0, ...sides(faceOutline).map(([a, b]) => Math.hypot(a[0] - b[0], a[1] - b[1])));
  const grain = survey.ok
    ? boundingBox(outline.map((p) => rotate(p, -survey.value.grainDeg)))
    : { left: 0, right: 300, top: 0, bottom: 200 };
  const hideId = HOT_HIDE.find((h) => h === glueId) ?? 'hotHide';
  const hide = adhesiveById(hideId, shop.glues?.[hideId]);
  const gel = attempt(() => glueTimes(hide, shop.temperatureC));
  return (
    <Page
      title="Awkward shapes"
      eyebrow={`${piece.body.name} · ${damageLabel(damage.body)}`}
      back={{ href: `/damage/${damage.id}/press`, label: 'Glue and press' }}
      list={<TrailList view={view} />}
    >
      <Chips<Case>
        label="What is pressed"
        help="Where a flat platen and straight bars do not do."
        options={CASE_IDS.map((value) => ({ value, label: CASES[value] }))}
        value={which}
        onChange={(shape) => change(damage, { figures: { ...damage.body.figures, 'awkward.shape': shape } })}
      />
      <KeepFigures damage={damage}>
        {which === 'edge' ? (
          <EdgeVeneer
            radiusMm={Math.round(Math.max(sizes.widthMm, sizes.heightMm) / 2)}
            boardMm={boardMm}
            lengthMm={Math.round(longestMm) || 600}
            bed={bed}
            targetKPa={targetKPa}
            clamp={clampOf('edge', shop)}
          />
        ) : null}
        {which === 'half' ? <HalfRound radiusMm={Math.round(sizes.widthMm / 2)} /> : null}
        {which === 'round' ? (
          <RoundTop
            radiusMm={Math.round(Math.max(sizes.widthMm, sizes.heightMm) / 2)}
            boardMm={boardMm}
            targetKPa={targetKPa}
            band={clampOf('band', shop)}
          />
        ) : null}
        {which === 'cup' ? (
          <CuppedBoard
            lengthMm={Math.round(Math.max(sizes.widthMm, sizes.heightMm))}
            widthMm={Math.round(Math.min(sizes.widthMm, sizes.heightMm))}
            boardMm={boardMm}
            acrossMPa={bed.acrossMPa}
          />
        ) : null}
        {which === 'case' ? (
          <CaseSide
            platenMm={view.glue.platenMm ?? shop.platenMm}
            clampN={clampOf('fStyle', shop).forceN.value}
            props={press?.ok ? press.value.layout.clamps.length : 1}
          />
        ) : null}
        {which === 'hammer' ? (
          gel.ok ? (
            <Hammer
              alongMm={Math.max(20, Math.round(grain.right - grain.left))}
              acrossMm={Math.max(20, Math.round(grain.bottom - grain.top))}
              gelMin={gel.value.openMin}
              glue={hide}
            />
          ) : (
            <Notice kind="stop" title="Too cold for hot hide glue">
              {gel.problem}
            </Notice>
          )
        ) : null}
      </KeepFigures>
      <Cautions
        ids={cautionsOf([method], surfaceRisk(piece.body, face.body), which === 'hammer' ? hideId : glueId)}
      />
      <Button label="Back to glue and press" onPress={() => router.push(`/damage/${damage.id}/press`)} />
    </Page>
  );
}
