import { Image, StyleSheet, View } from 'react-native';
import Svg, { G, Polygon, Rect, Text as SvgText } from 'react-native-svg';
import useSWR from 'swr';
import { boundingBox, type Point } from '@/core/geometry';
import { cuttingWords, inSheet, neededSizeWords, sheetMm, spotWords, type NeededPatch } from '@/core/job';
import { takeWords } from '@/core/letin';
import { CUT_GAP_MM, MOST_SPARES, NEST_SOURCE } from '@/core/nest';
import { describeSource } from '@/core/sources';
import { changeShop, useChanges, useList, useShop, type Stored } from '@/records';
import { Button, Figure, materials, Notice, Progress, Row, Section, Stepper, Text, useSay } from '@/ui';
import { call, type CuttingPlan } from '@/worker';
import { LinkRow } from '../shared/LinkRow';
import { Page } from '../shared/Page';
import { useAct } from '../shared/useAct';
import { useChange } from '../shared/useChange';
import { useLatest } from '../shared/useLatest';
import { useUnits } from '../shared/useUnits';
import { problemOf, Trouble, type Problem } from '../shared/Trouble';
import { usePictureUrl } from '../shared/useWorkshop';
import { Figures } from '../special/parts';

function useCutting(): { plan?: CuttingPlan; loading: boolean; problem?: Problem } {
  const changes = useChanges();
  const { data, error, isLoading, mutate } = useSWR<CuttingPlan, Error>(
    ['cutting', changes],
    () => call('cutting', {}),
    {
      keepPreviousData: true,
      shouldRetryOnError: false,
      revalidateOnFocus: false,
    },
  );
  return {
    ...(data ? { plan: data } : {}),
    loading: isLoading,
    ...(error ? { problem: problemOf(error, () => void mutate()) } : {}),
  };
}

/** What every sheet and board is promised to, where it is cut, what is left, and what must be bought. */
export function CuttingScreen() {
  const { plan, loading, problem } = useCutting();
  const { records: veneers } = useList('veneer');
  const { records: boards } = useList('lumber');
  const { shop, record } = useShop();
  const act = useAct();
  const { length } = useUnits();
  const patchOf = (id: string): NeededPatch | undefined => plan?.patches.find((p) => p.damageId === id);
  return (
    <Page
      title="Cutting plan"
      eyebrow="What the stock is promised to"
      back={{ href: '/stock', label: 'Stock' }}
    >
      {loading && !plan ? <Progress label="Laying the patches out on the sheets" fraction={0.5} /> : null}
      {problem ? <Trouble problem={problem} /> : null}
      {plan && plan.patches.length === 0 && plan.rack.length === 0 ? (
        <Notice kind="rest" title="Nothing to cut">
          No repair that is decided takes veneer or blocks. Decide on one, and it is laid out here.
        </Notice>
      ) : null}
      {plan && plan.patches.length > 0 ? (
        <Text kind="quiet">{`${cuttingWords(plan.patches.length, plan.nest)} ${describeSource(NEST_SOURCE)} Between two cuts: ${length(CUT_GAP_MM.value)}.`}</Text>
      ) : null}
      {plan && plan.nest.placed.length > 0 ? (
        <Stepper
          label="Spares of each patch"
          value={shop.sparePatches ?? 0}
          least={0}
          most={MOST_SPARES}
          onChange={(sparePatches) => act(() => changeShop(record, { sparePatches }))}
        />
      ) : null}
      {plan && plan.without > 0 ? (
        <Notice kind="rest">{`${plan.without === 1 ? 'One spare finds' : `${plan.without} spares find`} no room on the sheet that the patch is cut from.`}</Notice>
      ) : null}
      {plan?.nest.sheets.map((used) => {
        const veneer = veneers.find((v) => v.id === used.id);
        return veneer ? <SheetSection key={used.id} veneer={veneer} used={used} plan={plan} /> : null;
      })}
      {plan && plan.nest.unplaced.length > 0 ? (
        <Section title="To be bought, or cut from elsewhere">
          <View>
            {plan.nest.unplaced.map(({ id, why }) => {
              const patch = patchOf(id);
              return patch ? (
                <LinkRow
                  key={id}
                  href={`/damage/${id}/patch`}
                  title={patch.label}
                  detail={`${why} ${neededSizeWords(patch, length)}`}
                />
              ) : null;
            })}
          </View>
        </Section>
      ) : null}
      {plan && plan.groups.length > 1 ? (
        <Section title="Glued in goes" help="As many at a time as your clamps hold.">
          <View>
            {plan.groups.map((group, i) => (
              <Row
                key={group.join()}
                title={`Go ${i + 1}`}
                detail={group.map((id) => patchOf(id)?.label ?? '').join('; ')}
                last={i === plan.groups.length - 1}
              />
            ))}
          </View>
        </Section>
      ) : null}
      {plan && plan.rack.length > 0 ? (
        <Section title="Blocks from the rack" help="The longest first; what one takes is gone for the next.">
          <View>
            {plan.rack.map(({ needed, takes, missing }, i) => (
              <LinkRow
                key={`${needed.damageId} ${i}`}
                href={`/damage/${needed.damageId}/sheet`}
                title={needed.label}
                detail={[
                  `${needed.blanks.count} × ${length(needed.blanks.alongMm)} × ${length(needed.blanks.acrossMm)} × ${length(needed.blanks.thickMm)}.`,
                  ...takes.map((take) => {
                    const name = boards.find((b) => b.id === take.id)?.body.name ?? '';
                    return `${name}: ${takeWords(take, length)}`;
                  }),
                  ...(missing > 0 ? [`${missing} of ${needed.blanks.count} must be bought.`] : []),
                ].join(' ')}
              />
            ))}
          </View>
        </Section>
      ) : null}
    </Page>
  );
}

/** One sheet with what is cut from it; a patch that is cut leaves its hole. */
function SheetSection({
  veneer,
  used,
  plan,
}: {
  veneer: Stored<'veneer'>;
  used: CuttingPlan['nest']['sheets'][number];
  plan: CuttingPlan;
}) {
  const { length, area } = useUnits();
  const act = useAct();
  const say = useSay();
  const change = useChange();
  const { name, cuts = [] } = veneer.body;
  const put = useLatest((to: typeof cuts) => change(veneer, { cuts: to }));
  const frame = plan.frames[veneer.id];
  const placed = plan.nest.placed.filter((p) => p.sheet === veneer.id);
  const spares = plan.spares.filter((p) => p.sheet === veneer.id).length;
  if (!frame) return null;
  const cut = (damageId: string, outline: readonly Point[]): Promise<void> =>
    act(async () => {
      if (!(await put.current([...cuts, { outline: inSheet(outline, frame), damageId }]))) return;
      say({
        text: `Its place is a hole in ${name} now.`,
        action: { label: 'Undo', run: () => void put.current(cuts) },
      });
    });
  return (
    <Section title={name}>
      <SheetDrawing veneer={veneer} plan={plan} offcut={used.offcut} />
      <Figures>
        <Figure label="Cut from it" value={area(used.cutMm2)} />
        <Figure label="Left" value={area(used.leftMm2)} />
        <Figure
          label="Largest whole piece"
          value={`${length(used.offcut.alongMm)} × ${length(used.offcut.acrossMm)}`}
        />
      </Figures>
      {spares > 0 ? (
        <Text kind="quiet">{`${spares === 1 ? 'One spare lies' : `${spares} spares lie`} beside, dashed.`}</Text>
      ) : null}
      {placed.map((p, i) => {
        const patch = plan.patches.find((n) => n.damageId === p.id);
        return (
          <View key={p.id} style={{ gap: 4 }}>
            <LinkRow
              href={`/damage/${p.id}/patch`}
              title={`${i + 1}. ${patch?.label ?? ''}`}
              detail={`${spotWords(p, length)}.${patch?.spot ? ' Where its figure runs on.' : ''}`}
            />
            <Button
              label="It is cut"
              name={`${i + 1}. is cut from ${name}`}
              kind="quiet"
              onPress={() => cut(p.id, p.outline)}
            />
          </View>
        );
      })}
    </Section>
  );
}

const points = (outline: readonly Point[]): string => outline.map((p) => p.join(',')).join(' ');

/** The sheet to scale on its photo: what is gone, what is cut next with its number, and the largest piece that stays whole. */
function SheetDrawing({
  veneer,
  plan,
  offcut,
}: {
  veneer: Stored<'veneer'>;
  plan: CuttingPlan;
  offcut: CuttingPlan['nest']['sheets'][number]['offcut'];
}) {
  const { body } = veneer;
  const photo = usePictureUrl(body.photoWideMm === undefined ? undefined : body.pictureId);
  const frame = plan.frames[veneer.id] ?? { wideMm: body.alongMm, tallMm: body.acrossMm };
  const { outline, holes } = sheetMm(body, frame);
  const placed = plan.nest.placed.filter((p) => p.sheet === veneer.id);
  const spares = plan.spares.filter((p) => p.sheet === veneer.id);
  const thin = frame.wideMm / 300;
  return (
    <View
      role="img"
      aria-label={`${body.name} to scale, its grain from left to right, with ${placed.length} ${placed.length === 1 ? 'patch' : 'patches'} to be cut`}
      style={{ width: '100%', maxWidth: 560, aspectRatio: frame.wideMm / frame.tallMm }}
    >
      {photo ? <Image source={{ uri: photo }} style={StyleSheet.absoluteFill} /> : null}
      <View style={StyleSheet.absoluteFill}>
        <Svg width="100%" height="100%" viewBox={`0 0 ${frame.wideMm} ${frame.tallMm}`}>
          <Polygon
            points={points(outline)}
            fill={photo ? 'none' : materials.veneer}
            stroke={materials.lamp}
            strokeWidth={thin}
          />
          {holes.map((hole) => (
            <Polygon
              key={points(hole)}
              points={points(hole)}
              fill={materials.paper}
              stroke={materials.shade}
              strokeWidth={thin}
            />
          ))}
          <Rect
            x={offcut.xMm}
            y={offcut.yMm}
            width={offcut.alongMm}
            height={offcut.acrossMm}
            fill="none"
            stroke={materials.lit}
            strokeWidth={thin}
            strokeDasharray={`${6 * thin} ${4 * thin}`}
          />
          {spares.map((s) => (
            <Polygon
              key={s.id}
              points={points(s.outline)}
              fill={materials.lit}
              fillOpacity={0.2}
              stroke={materials.badge}
              strokeWidth={thin}
              strokeDasharray={`${3 * thin} ${2 * thin}`}
            />
          ))}
          {placed.map((p, i) => {
            const { left, right, top, bottom } = boundingBox(p.outline);
            const tall = Math.min(bottom - top, frame.tallMm / 8);
            return (
              <G key={p.id}>
                <Polygon
                  points={points(p.outline)}
                  fill={materials.lit}
                  fillOpacity={0.55}
                  stroke={materials.badge}
                  strokeWidth={1.5 * thin}
                />
                <SvgText
                  x={(left + right) / 2}
                  y={(top + bottom) / 2 + tall / 3}
                  fontSize={tall}
                  fontWeight="700"
                  textAnchor="middle"
                  fill={materials.badge}
                >
                  {String(i + 1)}
                </SvgText>
              </G>
            );
          })}
        </Svg>
      </View>
    </View>
  );
}
