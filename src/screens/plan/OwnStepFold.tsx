import { useState } from 'react';
import { View } from 'react-native';
import { OWN_MINUTES, OWN_WAIT_MINUTES, type OwnStep } from '@/core/bench';
import { PHASES, phaseLabel } from '@/core/catalogue';
import { formatMinutes } from '@/core/units';
import { newId, useShop, type Piece, type Stored } from '@/records';
import { Button, Chips, Fold, Row, Stepper, Text, TextField, useSay } from '@/ui';
import { useAct } from '../shared/useAct';
import { useChange } from '../shared/useChange';
import { useLatest } from '../shared/useLatest';

type Draft = Omit<OwnStep, 'id'>;
const EMPTY: Draft = { phase: 'structure', title: '', detail: '', attendedMin: 30, waitMin: 0 };
const WHOLE = 'whole';

/** Steps of one's own: added, taken out again, kept for other pieces; and what was left out, with its reason. */
export function OwnStepFold({
  piece,
  faces,
  onChange,
}: {
  piece: Stored<'piece'>;
  faces: readonly Stored<'face'>[];
  onChange: (patch: Partial<Piece>) => Promise<boolean>;
}) {
  const { shop, record } = useShop();
  const change = useChange();
  const act = useAct();
  const say = useSay();
  const [draft, setDraft] = useState(EMPTY);
  const own = piece.body.ownSteps ?? [];
  const put = useLatest(onChange);
  const skipped = (piece.body.stepChanges ?? []).filter((c) => c.skip !== undefined);
  const templates = shop.stepTemplates ?? [];
  const add = (step: Draft): Promise<void> =>
    act(async () => {
      if (!step.title.trim()) {
        say({ text: 'Give the step a name first, such as “Line the drawer”. Nothing is lost.', stop: true });
        return;
      }
      const ownSteps = [...own, { ...step, title: step.title.trim(), id: newId() }];
      if (await onChange({ ownSteps })) setDraft({ ...EMPTY, phase: step.phase });
    });
  const remove = (step: OwnStep): void => {
    void onChange({ ownSteps: own.filter((s) => s.id !== step.id) });
    say({ text: `“${step.title}” was taken out.`, action: { label: 'Undo', run: () => void put.current({ ownSteps: own }) } }); // prettier-ignore
  };
  const keep = (step: OwnStep): void => {
    const { phase, title, detail, attendedMin, waitMin } = step;
    const kept = [
      ...templates.filter((t) => t.title !== title),
      { phase, title, detail, attendedMin, waitMin },
    ];
    void change(record, { stepTemplates: kept });
  };
  return (
    <Fold title={own.length > 0 ? `Steps of your own (${own.length})` : 'Add a step of your own'}>
      {own.map((s) => (
        <View key={s.id} style={{ gap: 4 }}>
          <Row title={s.title} detail={phaseLabel(s.phase)} value={formatMinutes(s.attendedMin)} />
          <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
            <Button
              label="Take it out"
              name={`Take out: ${s.title}`}
              kind="quiet"
              onPress={() => remove(s)}
            />
            {record && !templates.some((t) => t.title === s.title) ? (
              <Button label="Keep it for other pieces" kind="quiet" onPress={() => keep(s)} />
            ) : null}
          </View>
        </View>
      ))}
      {templates.length > 0 ? (
        <View style={{ gap: 8 }}>
          <Text kind="strong">From your own templates</Text>
          {templates.map((t) => (
            <Button key={t.title} label={`Add: ${t.title}`} onPress={() => add(t)} />
          ))}
        </View>
      ) : null}
      <TextField
        label="What is done"
        value={draft.title}
        most={120}
        onChange={(title) => setDraft({ ...draft, title })}
      />
      <Chips
        label="In which phase"
        options={PHASES.map((p) => ({ value: p.id, label: p.label }))}
        value={draft.phase}
        onChange={(phase) => setDraft({ ...draft, phase })}
      />
      {faces.length > 0 ? (
        <Chips
          label="On which face"
          options={[
            { value: WHOLE, label: 'The whole piece' },
            ...faces.map((f) => ({ value: f.id, label: f.body.name })),
          ]}
          value={draft.faceId ?? WHOLE}
          onChange={(faceId) => {
            const rest = { ...draft };
            delete rest.faceId;
            setDraft(faceId === WHOLE ? rest : { ...rest, faceId });
          }}
        />
      ) : null}
      <Stepper
        label="It takes"
        unit="min"
        value={draft.attendedMin}
        least={OWN_MINUTES.least}
        most={OWN_MINUTES.most}
        step={5}
        onChange={(attendedMin) => setDraft({ ...draft, attendedMin })}
      />
      <Stepper
        label="Then it is left alone for"
        unit="min"
        value={draft.waitMin}
        least={OWN_WAIT_MINUTES.least}
        most={OWN_WAIT_MINUTES.most}
        step={30}
        onChange={(waitMin) => setDraft({ ...draft, waitMin })}
      />
      <TextField
        label="How"
        value={draft.detail}
        most={1000}
        lines={2}
        onChange={(detail) => setDraft({ ...draft, detail })}
      />
      <Button label="Add the step" kind="main" onPress={() => add(draft)} />
      {skipped.length > 0 ? (
        <View style={{ gap: 8 }}>
          <Text kind="strong">Left out</Text>
          {skipped.map((c) => (
            <View key={c.taskId} style={{ gap: 4 }}>
              <Text>{c.skip ?? ''}</Text>
              <Button
                label="Put the step back"
                kind="quiet"
                onPress={() =>
                  void onChange({ stepChanges: (piece.body.stepChanges ?? []).filter((o) => o !== c) })
                }
              />
            </View>
          ))}
        </View>
      ) : null}
    </Fold>
  );
}
