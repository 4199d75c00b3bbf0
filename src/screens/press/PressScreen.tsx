import { router, useLocalSearchParams, type Href } from 'expo-router';
import { useState, type ComponentProps } from 'react';
import { G } from 'react-native-svg';
import { COMMON_BOARD_MM } from '@/core/stack';
import { contains, distanceToBoundary } from '@/core/geometry';
import { methodById, PRESSED_FAMILIES, type MethodId } from '@/core/catalogue';
import { placeOf } from '@/core/press';
import { useShop, type GlueChoice, type Piece, type Shop, type Stored } from '@/records';
import { Button, Notice } from '@/ui';
import { cautionsOf } from '@/core/safety';
import { Cautions } from '../shared/Cautions';
import { Elsewhere } from '../shared/Elsewhere';
import { FaceBoard, useDraft } from '../shared/FaceBoard';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { useChange } from '../shared/useChange';
import { useDamageView, type DamageView } from '../shared/usePiece';
import { KeepFigures } from '../shared/kept';
import { useUnits } from '../shared/useUnits';
import { ArrangeSection } from './ArrangeSection';
import { BlisterMarks, blisterOf, BlisterSection, StagesSection } from './BlisterSection';
import { BagFold } from './BagFold';
import { ChangeFold, type Layers } from './ChangeFold';
import { CamberFold } from './CamberFold';
import { FloodSection } from './FloodSection';
import { PlanBody } from './PlanBody';
import { PlanView } from './PlanView';
import { fieldFrame } from './useField';
import { useQuietSlit } from './useQuietSlit';
import {
  damageLabel,
  heldWith,
  heldWords,
  linkedPage,
  movedPlacing,
  placingHandles,
  pressPlan,
  type Repair,
  surfaceRisk,
  surveyed,
  type Surveyed,
  withCauls,
} from '@/core/job';

/** Clamps farther from what they press than this are not in the plan's usual frame. */
const FAR_MM = 50;

/** Glue and press for one damage: how much of which glue, where the clamps go, for how long. */
export function PressScreen() {
  const { id, link } = useLocalSearchParams<{ id: string; link?: string }>();
  const view = useDamageView(id, link, PRESSED_FAMILIES);
  const { shop } = useShop();
  const { damage, face, piece, onFace, treated, method, repair } = view;
  if (!damage || !piece || !treated || !repair) return <Missing what="This damage" loading={view.loading} />;
  const survey = surveyed(damage.body, face?.body);
  const frame = {
    title: 'Glue and press',
    eyebrow: `${piece.body.name} · ${damageLabel(damage.body)}${method ? ` · ${methodById(method).label.toLowerCase()}` : ''}`,
    back: { href: `/damage/${damage.id}/decide` as const, label: 'Decide' },
    list: <TrailList view={view} />,
  };
  const glued =
    method !== undefined &&
    PRESSED_FAMILIES.includes(methodById(method).family) &&
    methodById(method).steps.some((s) => s.glued);
  if (!survey.ok || !face || !method || !glued) {
    return (
      <Page {...frame}>
        <Notice kind="rest" title="Not under a press">
          {survey.ok
            ? `The repair is ${method ? methodById(method).label.toLowerCase() : 'not decided'}, which is not pressed under clamps.`
            : `${survey.problem} The press plan needs the outline to scale.`}
        </Notice>
        <Elsewhere view={view} />
      </Page>
    );
  }
  return (
    <PressPage
      {...{ damage, face, piece, onFace, treated, method, repair, shop, frame }}
      main={view.chain?.method ?? method}
      choice={view.glue}
      keepGlue={view.keepGlue}
      survey={survey.value}
    />
  );
}

type PageProps = {
  damage: Stored<'damage'>;
  face: Stored<'face'>;
  piece: Stored<'piece'>;
  onFace: readonly Stored<'damage'>[];
  treated: Piece;
  method: MethodId;
  repair: Repair;
  /** The method that was chosen, of whose chain this is a link. */
  main: MethodId;
  choice: GlueChoice;
  keepGlue: DamageView['keepGlue'];
  survey: Surveyed;
  shop: Shop;
  frame: Omit<ComponentProps<typeof Page>, 'children' | 'board'>;
};

function PressPage({
  damage,
  face,
  piece,
  onFace,
  treated,
  method,
  repair,
  main,
  choice,
  keepGlue,
  survey,
  shop,
  frame,
}: PageProps) {
  const change = useChange();
  const { length, area, temperature } = useUnits();
  const [byHand, setByHand] = useState(false);
  // While something is dragged the plan follows it; it is kept when the finger lifts.
  const glue = useDraft<GlueChoice>(choice, (next) => change(damage, keepGlue(next)));
  const { veneerMm, boardMm = COMMON_BOARD_MM.value } = face.body;
  const layers = useDraft<Layers>({}, (next) => change(face, next));
  const live = glue.value !== choice || layers.value.boardMm !== undefined;
  const result = pressPlan(treated, method, { ...damage.body, glue: glue.value }, survey, shop);
  const set = (patch: GlueChoice): Promise<boolean> => change(damage, keepGlue({ ...choice, ...patch }));
  const plan = result.ok ? result.value : undefined;
  const held = choice.held ? heldWith(choice.held, repair, method, choice, shop, plan) : undefined;
  const slitting = method === 'injectAndPress';
  const quiet = useQuietSlit(survey, face.body, slitting);
  const figures = damage.body.figures ?? {};
  const moved = figures['slit.aside'];
  const asideMm = typeof moved === 'number' ? moved : (quiet?.asideMm ?? 0);
  const blister = plan && slitting ? blisterOf(plan, survey.grainDeg, asideMm) : undefined;
  // Cauls across the whole face have their clamps at its edges; the plan then shows those too.
  const far = (choice.placed?.clamps ?? [])
    .map((c) => c.at)
    .filter((at) => distanceToBoundary(at, survey.outline) > FAR_MM && !contains(survey.outline, at));
  const frameOfField = plan
    ? fieldFrame(plan, { ...face.body, ...layers.value }, survey.board.plane.outline, live)
    : undefined;
  return (
    <Page
      {...frame}
      board={
        <FaceBoard
          key={`${damage.id} ${far.length > 0 ? 'far' : 'near'}`}
          face={face}
          damages={onFace}
          current={damage.id}
          label="Plan view: clamps, cauls and the pressed footprint"
          phoneHeight={260}
          {...(byHand && plan
            ? {
                handles: placingHandles(plan.placed),
                onMove: (id: string, at: readonly [number, number]) =>
                  glue.drag({
                    ...glue.value,
                    placed: { ...movedPlacing(plan.placed, id, at), loose: placeOf(plan.outline) },
                  }),
                onMoveEnd: glue.drop,
              }
            : {})}
          focus={{ outline: [...survey.outline, ...far], marginMm: far.length > 0 ? 30 : 55 }}
          over={(k) => (
            <G>
              {plan ? (
                <PlanView plan={plan} k={k} {...(frameOfField ? { frame: frameOfField } : {})} />
              ) : null}
              {blister ? <BlisterMarks blister={blister} k={k} /> : null}
            </G>
          )}
        />
      }
    >
      {held?.ok ? (
        <Notice kind="rest" title="It is held in another way than by these clamps">
          {heldWords(held.value)}
        </Notice>
      ) : null}
      {!plan ? (
        <Notice kind="stop">{result.ok ? '' : result.problem}</Notice>
      ) : (
        <PlanBody
          plan={plan}
          veneerMm={layers.value.veneerMm ?? veneerMm}
          boardMm={layers.value.boardMm ?? boardMm}
          onStack={(part, mm) => {
            if (part === 'veneer') layers.drag({ ...layers.value, veneerMm: mm });
            else if (part === 'core') layers.drag({ ...layers.value, boardMm: mm });
            else
              glue.drag(
                part === 'platen' ? { ...glue.value, platenMm: mm } : withCauls(glue.value, { heightMm: mm }),
              );
          }}
          onStackEnd={() => {
            glue.drop();
            layers.drop();
          }}
          length={length}
          area={area}
          temperatureText={temperature(shop.temperatureC)}
          {...(frameOfField ? { frame: frameOfField } : {})}
        >
          {frameOfField ? (
            <ArrangeSection
              plan={plan}
              frame={frameOfField}
              shop={shop}
              byHand={byHand}
              onByHand={setByHand}
              onChange={set}
            />
          ) : null}
        </PlanBody>
      )}
      <ChangeFold
        plan={plan}
        shop={shop}
        glue={choice}
        veneerMm={veneerMm}
        boardMm={boardMm}
        onGlue={(next) => change(damage, keepGlue(next))}
        onLayers={(next) => change(face, next)}
      />
      {blister ? (
        <BlisterSection
          blister={blister}
          asideMm={asideMm}
          {...(quiet ? { quiet } : {})}
          byHand={typeof moved === 'number'}
          onAside={(mm) => change(damage, { figures: { ...figures, 'slit.aside': mm } })}
          onQuiet={() => {
            const { 'slit.aside': _, ...rest } = figures;
            change(damage, { figures: rest });
          }}
        />
      ) : null}
      {plan?.mixes ? (
        <FloodSection plan={plan} openingMm={damage.body.answers.openingMm} veneerMm={veneerMm} />
      ) : null}
      {plan ? (
        <StagesSection
          plan={plan}
          {...(method === 'floodAndPress' && survey.atEdge ? { mouthMm: survey.measures.alongMm } : {})}
        />
      ) : null}
      {plan ? (
        <CamberFold plan={plan} name={`${piece.body.name}, ${damageLabel(damage.body)}`} paper={shop.paper} />
      ) : null}
      {plan ? (
        <KeepFigures damage={damage}>
          <BagFold plan={plan} face={survey.board.plane.outline} thickMm={boardMm + veneerMm} />
        </KeepFigures>
      ) : null}
      <Cautions ids={cautionsOf([method], surfaceRisk(piece.body, face.body), plan?.adhesive.id)} />
      {plan?.times.ok ? (
        <Button
          label="Start the glue-up"
          kind="main"
          onPress={() => router.push(linkedPage(damage.id, 'glueup', method, main) as Href)}
        />
      ) : null}
      <Button
        label="Rounds, edges, cups, cases, hammer"
        onPress={() => router.push(linkedPage(damage.id, 'special', method, main) as Href)}
      />
      <Button label="Open the bench plan" onPress={() => router.push(`/bench?piece=${piece.id}`)} />
    </Page>
  );
}
