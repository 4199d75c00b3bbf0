import { router, useLocalSearchParams, type Href } from 'expo-router';
import { glueTimes, wantedPressure } from '@/core/adhesive';
import { methodById } from '@/core/catalogue';
import { attempt } from '@/core/check';
import {
  clampOf,
  damageLabel,
  gluing,
  HELD_BY,
  hammerGlue,
  heldStart,
  heldWith,
  heldWords,
  pressPlan,
  surfaceRisk,
  waysOf,
  worksheetPage,
} from '@/core/job';
import { cautionsOf } from '@/core/safety';
import type { HeldBy } from '@/records';
import { Button, Chips, Notice } from '@/ui';
import { Cautions } from '../shared/Cautions';
import { KeepFigures } from '../shared/kept';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { useChange } from '../shared/useChange';
import { useDamageView } from '../shared/usePiece';
import { CaseSide, CuppedBoard, Hammer } from './boards';
import { PairSection } from './PairSection';
import { EdgeVeneer, HalfRound, RoundTop } from './rims';

const WAYS = Object.keys(HELD_BY) as HeldBy[];

/** Pressing where a flat platen and straight cauls do not do: figures for each awkward shape. */
export function SpecialScreen() {
  const change = useChange();
  const { id, link } = useLocalSearchParams<{ id: string; link?: string }>();
  const view = useDamageView(id, link);
  const { damage, piece, method, treated, shop, repair } = view;
  if (!damage || !piece || !treated || !method || !repair)
    return <Missing what="This damage" loading={view.loading} />;
  const start = heldStart(repair);
  const kept = damage.body.figures?.['awkward.shape'];
  const which = WAYS.find((c) => c === kept) ?? start.by;
  const { adhesive: glue } = gluing(treated, method, view.glue, shop);
  const targetKPa = view.glue.targetKPa ?? wantedPressure(glue, waysOf(treated).glueAndForce).value;
  const { survey } = repair;
  const press = survey.ok ? pressPlan(treated, method, damage.body, survey.value, shop) : undefined;
  const flat = press?.ok ? press.value : undefined;
  const hide = hammerGlue(glue.id, shop);
  const gel = attempt(() => glueTimes(hide, shop.temperatureC));
  const held = heldWith(which, repair, method, view.glue, shop, flat);
  const chosen = view.glue.held === which;
  const sheet = worksheetPage(damage.id, method, view.chain?.method ?? method) as Href;
  const hold = (by: HeldBy | undefined): Promise<boolean> =>
    change(damage, view.keepGlue({ ...view.glue, held: by }));
  return (
    <Page
      title="Awkward shapes"
      eyebrow={`${piece.body.name} · ${damageLabel(damage.body)}`}
      back={{ href: sheet, label: methodById(method).label }}
      list={<TrailList view={view} />}
    >
      <Chips<HeldBy>
        label="What is pressed"
        help="Where a flat platen and straight bars do not do."
        options={WAYS.map((value) => ({ value, label: HELD_BY[value] }))}
        value={which}
        onChange={(shape) => change(damage, { figures: { ...damage.body.figures, 'awkward.shape': shape } })}
      />
      <KeepFigures damage={damage}>
        {which === 'edge' ? (
          <EdgeVeneer
            radiusMm={start.radiusMm}
            boardMm={start.boardMm}
            lengthMm={start.edgeMm}
            bed={start.bed}
            targetKPa={targetKPa}
            clamp={clampOf('edge', shop)}
          />
        ) : null}
        {which === 'half' ? <HalfRound radiusMm={start.halfRadiusMm} /> : null}
        {which === 'round' ? (
          <RoundTop
            radiusMm={start.radiusMm}
            boardMm={start.boardMm}
            targetKPa={targetKPa}
            band={clampOf('band', shop)}
          />
        ) : null}
        {which === 'cup' ? (
          <CuppedBoard
            lengthMm={start.longMm}
            widthMm={start.wideMm}
            boardMm={start.boardMm}
            acrossMPa={start.bed.acrossMPa}
          />
        ) : null}
        {which === 'case' ? (
          <CaseSide
            platenMm={view.glue.platenMm ?? shop.platenMm}
            clampN={clampOf('fStyle', shop).forceN.value}
            props={flat?.layout.clamps.length ?? 1}
          />
        ) : null}
        {which === 'case' ? (
          <PairSection
            lengthMm={start.wideMm}
            caul={{ widthMm: shop.caulWidthMm, heightMm: shop.caulHeightMm }}
            platenMm={view.glue.platenMm ?? shop.platenMm}
            targetKPa={targetKPa}
          />
        ) : null}
        {which === 'hammer' ? (
          gel.ok ? (
            <Hammer
              alongMm={start.alongMm}
              acrossMm={start.acrossMm}
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
        ids={cautionsOf(
          [method],
          surfaceRisk(piece.body, view.face?.body),
          which === 'hammer' ? hide.id : glue.id,
        )}
      />
      {held.ok ? (
        <Notice kind="rest" title={chosen ? 'It is held this way' : 'Held this way it takes'}>
          {heldWords(held.value)}
        </Notice>
      ) : null}
      {chosen ? (
        <Button label="Hold it with the press plan’s clamps instead" onPress={() => hold(undefined)} />
      ) : held.ok ? (
        <Button label="Hold it this way" kind="main" onPress={() => hold(which)} />
      ) : null}
      <Button
        label={`Back to ${methodById(method).label.toLowerCase()}`}
        onPress={() => router.push(sheet)}
      />
    </Page>
  );
}
