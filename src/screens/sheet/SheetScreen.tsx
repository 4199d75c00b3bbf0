import { router, useLocalSearchParams } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import type { BenchTask } from '@/core/bench';
import { takesColour, tonesIn } from '@/core/catalogue';
import {
  handsMin,
  isUnderPaint,
  rangeWords,
  roundTime,
  sharedWith,
  stepsOfLink,
  worksheetsOf,
} from '@/core/job';
import { upperFirst } from '@/core/terms';
import { formatMinutes } from '@/core/units';
import { useList } from '@/records';
import { Button, Figure, Notice, Row, Section, Text } from '@/ui';
import { Cautions } from '../shared/Cautions';
import { Missing } from '../shared/Missing';
import { COUNTING } from '../shared/Trail';
import { usePlan } from '../shared/useBench';
import { useDamageView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';
import { KeepFigures } from '../shared/kept';
import { SumsSection } from '../sums/SumsSection';
import { AmountsSection, AssumedNotice } from './sections';
import { WorksheetPage } from './WorksheetPage';

/** The worksheet of whatever is neither pressed, patched nor clamped: what it takes, how much of it, and each step with its time. */
export function SheetScreen() {
  const { id, link: asked } = useLocalSearchParams<{ id: string; link?: string }>();
  const view = useDamageView(id, asked);
  const { length, area } = useUnits();
  const { plan } = usePlan(view.piece?.id);
  const { records: shelf } = useList('colour');
  const { damage, piece, method, treated, repair, shop } = view;
  const worked = useMemo(
    () => (repair ? worksheetsOf(repair, shop, shelf) : undefined),
    [repair, shop, shelf],
  );
  if (!damage || !piece || !treated || !method || !repair || !worked)
    return <Missing what="This damage" loading={view.loading} />;
  const { survey } = repair;
  const { links, colour } = worked;
  const link = links.find((l) => l.method === method);
  const steps = plan && link ? stepsOfLink(plan, damage.id, method) : [];
  const shared = sharedWith(steps);
  const coloured = takesColour(method) && !isUnderPaint(treated);
  return (
    <WorksheetPage view={view} method={method} piece={piece} damage={damage} survey={survey}>
      {survey.ok ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
          <Figure label="Along the grain" value={length(survey.value.measures.alongMm)} />
          <Figure label="Across" value={length(survey.value.measures.acrossMm)} />
          <Figure label="Area" value={area(survey.value.measures.areaMm2)} />
          {steps.length > 0 ? (
            <Figure
              label="Your hands"
              value={roundTime(handsMin(steps))}
              {...(shared ? { note: shared } : {})}
            />
          ) : null}
        </View>
      ) : (
        <Notice kind="rest" title="No amounts yet">
          {`${survey.problem} Amounts follow from its size.`}
        </Notice>
      )}
      {link ? (
        <KeepFigures damage={damage}>
          <SumsSection repair={repair} method={method} sums={link.sums} />
        </KeepFigures>
      ) : null}
      {link ? <AssumedNotice assumed={link.assumed} /> : null}
      {link ? <AmountsSection amounts={link.amounts} colours={tonesIn(method) ? colour.coats : []} /> : null}
      <StepsSection
        steps={plan ? steps : undefined}
        none={
          link?.unneeded
            ? 'The wipe test has shown that it needs no colour: there is nothing to do.'
            : 'The steps of the whole piece do this: stripping, sanding and coating cover it.'
        }
      />
      {link ? <Cautions ids={link.cautions} /> : null}
      {coloured ? (
        <Button label="Next: colour it" onPress={() => router.push(`/damage/${damage.id}/blend`)} />
      ) : null}
      <Button
        label="Open the bench plan"
        kind="main"
        onPress={() => router.push(`/bench?piece=${piece.id}`)}
      />
    </WorksheetPage>
  );
}

/** The steps of a link as they stand at the bench. @param none said where it has none of its own */
function StepsSection({ steps, none }: { steps: readonly BenchTask[] | undefined; none: string }) {
  return (
    <Section title="Step by step">
      {steps ? null : <Text kind="quiet">{COUNTING}</Text>}
      <View>
        {(steps ?? []).map((t, i, all) => {
          const range = rangeWords(t);
          const said = [
            t.detail,
            t.unattendedMin > 0 ? `Then wait ${formatMinutes(t.unattendedMin)}.` : undefined,
            range ? `${upperFirst(range)} of work.` : undefined,
          ];
          return (
            <Row
              key={t.id}
              title={`${i + 1}. ${t.title}`}
              detail={said.filter(Boolean).join(' ')}
              value={formatMinutes(t.attendedMin)}
              source={t.from}
              last={i === all.length - 1}
            />
          );
        })}
      </View>
      {steps?.length === 0 ? <Text kind="quiet">{none}</Text> : null}
    </Section>
  );
}
