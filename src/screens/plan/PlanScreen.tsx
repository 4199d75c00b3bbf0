import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { movePhase } from '@/core/bench';
import { phaseLabel, type PhaseId } from '@/core/catalogue';
import { planTable, waysOf, wholeHands, type Plan, type PlanRow } from '@/core/job';
import type { Piece, Stored } from '@/records';
import { Chips, LitCard, Notice, Progress, Section, Text, useSay } from '@/ui';
import { DeadlineCard } from '../shared/DeadlineCard';
import { LinkRow } from '../shared/LinkRow';
import { Missing } from '../shared/Missing';
import { Page, Pane, useWide } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { Trouble } from '../shared/Trouble';
import { usePlan } from '../shared/useBench';
import { useChange } from '../shared/useChange';
import { useLatest } from '../shared/useLatest';
import { usePieceView } from '../shared/usePiece';
import { ApartSection } from './ApartSection';
import { NeedsSection } from './NeedsSection';
import { OrderFold } from './OrderFold';
import { OwnStepFold } from './OwnStepFold';
import { PlanGrid } from './PlanGrid';
import { SheetCard } from './SheetCard';
import { StepList } from './StepList';

const WHOLE = 'whole';

/** The plan of a piece: faces as rows, phases as columns; the steps of a cell, the order, what comes apart, what it takes. */
export function PlanScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = usePieceView(id);
  const { plan, problem, loading } = usePlan(id);
  const wide = useWide();
  const change = useChange();
  const say = useSay();
  const [picked, setPicked] = useState<{ face: string; phase?: PhaseId }>();
  const { piece } = view;
  // An undo comes later, when the piece is another record than now.
  const put = useLatest((patch: Partial<Piece>) => change(piece, patch));
  if (!piece) return <Missing what="This piece" loading={view.loading} />;
  const set = (patch: Partial<Piece>): Promise<boolean> => change(piece, patch);
  const drop = (phase: PhaseId, before: PhaseId | undefined): void => {
    const move = movePhase(waysOf(piece.body), phase, before);
    if (!move.ok) {
      say({ text: move.why, stop: true });
      return;
    }
    const was = piece.body.ways;
    void set({ ways: { ...was, [move.way]: move.value } });
    say({
      text: `${phaseLabel(phase)} was moved. No step is lost by it.`,
      action: { label: 'Undo', run: () => void put.current({ ways: was }) },
    });
  };
  const table = plan && plan.tasks.length > 0 ? planTable(plan, piece) : undefined;
  const rowOf = (key: string | undefined): PlanRow | undefined =>
    table?.rows.find((r) => (r.faceId ?? WHOLE) === key);
  const row = rowOf(picked?.face) ?? table?.rows[Math.min(1, table.rows.length - 1)];
  const lit = { face: row?.faceId ?? WHOLE, ...(picked?.phase ? { phase: picked.phase } : {}) };
  const grid = table ? (
    <PlanGrid
      table={table}
      picked={lit}
      onPick={(face, phase) => setPicked({ face: face ?? WHOLE, phase })}
      onDrop={drop}
    />
  ) : null;
  return (
    <Page
      title="Plan of the piece"
      eyebrow={piece.body.name}
      back={{ href: `/piece/${piece.id}`, label: piece.body.name }}
      list={<TrailList view={view} />}
      board={
        wide && plan && table ? (
          <Pane>
            <Section
              title="Face by face"
              help="Press a cell for its steps. A phase can be dragged by its name to where the trade moves it; where it must not go, the reason is said."
            >
              {grid}
            </Section>
            <SheetCard plan={plan} view={view} />
            {piece.body.deadline ? <DeadlineCard pieceId={piece.id} /> : null}
          </Pane>
        ) : undefined
      }
    >
      {problem ? <Trouble problem={problem} title="No plan can be made" /> : null}
      {loading && !plan ? <Progress label="Planning the piece" fraction={0.5} /> : null}
      {plan && !table ? <Empty piece={piece} faces={plan.faces.length} /> : null}
      {plan && table ? (
        <>
          <Text>{`Hands: ${wholeHands(table)}.`}</Text>
          {plan.problems.map((text) => (
            <Notice key={text} kind="rest" title="One of your changes could not be followed">
              {text}
            </Notice>
          ))}
          {wide ? null : (
            <Chips
              label="Face"
              options={table.rows.map((r) => ({ value: r.faceId ?? WHOLE, label: r.name }))}
              value={lit.face}
              onChange={(face) => setPicked({ face })}
            />
          )}
          {row ? (
            <RowSteps
              row={row}
              only={wide ? picked?.phase : undefined}
              plan={plan}
              piece={piece}
              onChange={set}
            />
          ) : null}
          {wide ? null : <SheetCard plan={plan} view={view} />}
          {!wide && piece.body.deadline ? <DeadlineCard pieceId={piece.id} /> : null}
          <ApartSection plan={plan} piece={piece} />
          <NeedsSection plan={plan} />
          <View>
            <OrderFold piece={piece} plan={plan} onChange={set} onDrop={drop} />
            <OwnStepFold piece={piece} faces={view.faces} onChange={set} />
          </View>
        </>
      ) : null}
    </Page>
  );
}

function Empty({ piece, faces }: { piece: Stored<'piece'>; faces: number }) {
  return (
    <LitCard eyebrow="Now" title={faces === 0 ? 'Add a face first' : 'Say how the finish of a face is'}>
      <Text>
        {faces === 0
          ? 'The plan is made face by face. A face needs no photo: a name and a size are enough.'
          : 'Mark a damage on a face, or say in what state its finish is: the steps follow from that.'}
      </Text>
      <LinkRow
        href={`/piece/${piece.id}/about`}
        title="About this piece"
        detail="Its faces are added there"
      />
    </LitCard>
  );
}

/** The steps of one face, phase after phase, or of the phase that was pressed. */
function RowSteps({
  row,
  only,
  plan,
  piece,
  onChange,
}: {
  row: PlanRow;
  only: PhaseId | undefined;
  plan: Plan;
  piece: Stored<'piece'>;
  onChange: (patch: Partial<Piece>) => Promise<boolean>;
}) {
  const ticked = new Set(plan.done.map((d) => d.taskId));
  const cells = row.cells.filter((c) => c.tasks.length > 0 && (!only || c.phase === only));
  return (
    <Section
      title={row.name}
      help={`${row.words}.${row.part ? ` Finished apart, with ${row.part.toLowerCase()}.` : ''}`}
    >
      {cells.map((cell) => (
        <StepList
          key={cell.phase}
          cell={cell}
          plan={plan}
          piece={piece}
          ticked={ticked}
          onChange={onChange}
        />
      ))}
      {cells.length === 0 ? <Text>Nothing is done here.</Text> : null}
    </Section>
  );
}
