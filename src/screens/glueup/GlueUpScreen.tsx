import { router, useLocalSearchParams, type Href } from 'expo-router';
import { ScrollView, StyleSheet } from 'react-native';
import { inRound } from '@/core/bench';
import { glueClock } from '@/core/glueup';
import { formatMinutes } from '@/core/units';
import { createRecord, localNow, type Stored } from '@/records';
import { Button, Notice, Text, useTheme } from '@/ui';
import type { MethodId } from '@/core/catalogue';
import { cautionsOf, type CautionId } from '@/core/safety';
import { Missing } from '../shared/Missing';
import { useAct } from '../shared/useAct';
import { useChange } from '../shared/useChange';
import { Clock, NextClamps } from './Clock';
import { Ready } from './Ready';
import { useNow, useSignals } from './useGlueClock';
import { useDamageView } from '../shared/usePiece';
import { useLitScreen } from '@/instruments';
import { damageLabel, glueUpOf, surfaceRisk, worksheetPage, type GlueUp } from '@/core/job';

/** The glue is out: large figures, what must happen by when, and nothing else. */
export function GlueUpScreen() {
  const { id, link } = useLocalSearchParams<{ id: string; link?: string }>();
  const view = useDamageView(id, link);
  const { damage, face, piece, method, chain, repair, shop } = view;
  if (!damage || !piece || !face || !method || !repair)
    return <Missing what="This repair" loading={view.loading} />;
  const main = chain?.method ?? method;
  const result = glueUpOf(repair, method, shop);
  if (!result.ok) {
    return (
      <Shell title={damageLabel(damage.body)}>
        <Notice kind="stop" title="The glue-up cannot begin">
          {result.problem}
        </Notice>
        <Button
          label="Back to glue and clamps"
          onPress={() => router.push(worksheetPage(damage.id, method, main) as Href)}
        />
      </Shell>
    );
  }
  return (
    <Running
      damage={damage}
      pieceId={piece.id}
      method={method}
      main={main}
      cautions={cautionsOf([method], surfaceRisk(piece.body, face.body), result.value.adhesive.id)}
      plan={result.value}
    />
  );
}

function Running({
  damage,
  pieceId,
  method,
  main,
  cautions,
  plan,
}: {
  damage: Stored<'damage'>;
  pieceId: string;
  method: MethodId;
  /** The method that was chosen, of whose chain this is a link. */
  main: MethodId;
  cautions: readonly CautionId[];
  plan: GlueUp;
}) {
  const change = useChange();
  const act = useAct();
  const now = useNow();
  const { stages, times } = plan;
  const count = stages?.stages.length ?? 1;
  // A damage may be glued twice in its chain; the clock belongs to the link it was started on.
  const { glueUp } = damage.body;
  const running = glueUp && (glueUp.method ?? main) === method ? glueUp : undefined;
  const task = `${damage.id}/${method === main ? '' : `${method}.`}`;
  useLitScreen(running !== undefined && running.clampedAt === undefined);
  const clock = running ? glueClock(running, times, now) : undefined;
  useSignals(clock);
  const start = (stage: number): Promise<boolean> =>
    change(damage, { glueUp: { stage, startedAt: Date.now(), method } });
  const clamped = (): Promise<void> =>
    act(async () => {
      if (!running) return;
      const clampedAt = Date.now();
      change(damage, { glueUp: { ...running, clampedAt } });
      const minutes = (clampedAt - running.startedAt) / 60_000;
      await createRecord('log', {
        pieceId,
        // Each stage is a step of its own on the bench.
        taskId: `${task}${inRound(running.stage < count ? `stage${running.stage}` : plan.key, damage.body.grew?.length)}`,
        title: `Glued and clamped: ${damageLabel(damage.body)}${count > 1 ? `, stage ${running.stage} of ${count}` : ''}`,
        doneAt: localNow(),
        actualMin: Math.round(minutes * 10) / 10,
        ...plan.learns,
        note: `${plan.adhesive.label}${plan.clampWords ? `, ${plan.clampWords}` : ''}. From first glue to last clamp ${formatMinutes(minutes)}; open time ${formatMinutes(times.openMin)}.`,
        pictures: [],
      });
    });
  const done = (): void => {
    change(damage, { glueUp: undefined });
    router.push(`/bench?piece=${pieceId}`);
  };
  return (
    <Shell
      title={`${damageLabel(damage.body)}${count > 1 ? `, stage ${running?.stage ?? 1} of ${count}` : ''}`}
    >
      {!running || !clock ? (
        <Ready plan={plan} cautions={cautions} {...(stages ? { stages } : {})} onStart={() => start(1)} />
      ) : (
        <>
          <Clock clock={clock} />
          {clock.setBack ? (
            <Notice kind="stop" title="This device’s clock was set back">
              How long the glue has been out is not known any more. The time shown is the longest it can take;
              go by the clock on the wall.
            </Notice>
          ) : null}
          {running.clampedAt === undefined ? (
            <Button big label="All clamps are on" kind="main" onPress={clamped} />
          ) : running.stage < count ? (
            <>
              <NextClamps plan={plan} clock={clock} />
              <Button
                big
                label={`Start stage ${running.stage + 1}: glue is on`}
                kind="main"
                onPress={() => start(running.stage + 1)}
              />
            </>
          ) : (
            <Button big label="Back to the bench" kind="main" onPress={done} />
          )}
          <Button label="Begin again" kind="quiet" onPress={() => change(damage, { glueUp: undefined })} />
        </>
      )}
    </Shell>
  );
}

/** One column with large figures; nothing that leads away but one button. */
function Shell({ title, children }: { title: string; children: React.ReactNode }) {
  const theme = useTheme();
  return (
    <ScrollView
      role="region"
      aria-label="Glue-up"
      tabIndex={0}
      style={{ backgroundColor: theme.ground }}
      contentContainerStyle={styles.shell}
    >
      <Text kind="label">Glue-up</Text>
      <Text kind="title">{title}</Text>
      {children}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  shell: { padding: 20, gap: 18, maxWidth: 900, width: '100%', alignSelf: 'center' },
});
