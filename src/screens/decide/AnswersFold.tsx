import { depthDoubt, lengthsFor, questionsFor, type AskedFact, type DamageKind, type Question } from '@/core/damage'; // prettier-ignore
import type { Answers } from '@/records';
import { Button, Chips, Fold, LengthField, Notice } from '@/ui';
import { useUnits } from '../shared/useUnits';

export function AnswerChips({
  question,
  answers,
  onAnswer,
  bare = false,
}: {
  question: Question;
  answers: Answers;
  onAnswer: (fact: AskedFact, value: string | boolean) => void;
  bare?: boolean;
}) {
  return (
    <Chips
      label={question.ask}
      {...(bare ? { bare } : { help: question.look })}
      options={question.answers}
      value={answers[question.fact]}
      onChange={(value) => onAnswer(question.fact, value)}
    />
  );
}

/** Everything that decides the repair of a damage of this kind, asked and measured. */
export function AnswersFold({
  kind,
  answers,
  boardMm,
  onChange,
}: {
  kind: DamageKind;
  answers: Answers;
  /** Thickness of the board, when it is known. */
  boardMm?: number;
  onChange: (answers: Answers) => void;
}) {
  const { unit } = useUnits();
  const doubt =
    answers.depthMm !== undefined && answers.through === undefined
      ? depthDoubt(answers.depthMm, boardMm)
      : undefined;
  return (
    <Fold title="What is known of this damage">
      {lengthsFor(kind).map(({ fact, ask, look }) => (
        <LengthField
          key={fact}
          label={ask}
          help={look}
          valueMm={answers[fact]}
          unit={unit}
          check={(mm) => void depthDoubt(mm, undefined)}
          onChange={(mm) => onChange({ ...answers, [fact]: mm })}
        />
      ))}
      {doubt ? (
        <Notice kind="stop" title={doubt}>
          <Chips
            label="Does it go right through?"
            bare
            options={[
              { value: true, label: 'Yes, right through' },
              { value: false, label: 'No, I measure again' },
            ]}
            value={undefined}
            onChange={(through) => {
              const { depthMm: _, ...others } = answers;
              onChange(through ? { ...answers, through } : others);
            }}
          />
        </Notice>
      ) : null}
      {questionsFor(kind, answers).map((q) => (
        <AnswerChips
          key={q.fact}
          question={q}
          answers={answers}
          onAnswer={(fact, value) => onChange({ ...answers, [fact]: value })}
        />
      ))}
      {Object.keys(answers).length > 0 ? (
        <Button label="Forget the answers" kind="quiet" onPress={() => onChange({})} />
      ) : null}
    </Fold>
  );
}
