import { MOST_DEPTH_MM } from '@/core/damage';
import { VENEER_RANGE_MM } from '@/core/method'; // prettier-ignore
import { BUILDS, FINISH_GOALS, FINISHES_NOW, SCHOOLS, type FinishGoal, type School } from '@/core/terms';
import { summarise } from '@/core/readings';
import type { Face, Piece } from '@/records';
import { Button, Chips, Fold, LengthField, optionsOf, Section, Text, TextField } from '@/ui';
import { COMMON_VENEERS_MM } from '@/core/veneer';
import { WoodChips } from '../shared/WoodChips';
import { useUnits } from '../shared/useUnits';

/** What a face is made of, and how it is treated. */
export function FaceFacts({
  face,
  piece,
  onChange,
}: {
  face: Face;
  piece: Piece;
  onChange: (patch: Partial<Face>) => void;
}) {
  const { unit, length } = useUnits();
  const readings = summarise(face.thicknessReadings ?? []);
  return (
    <>
      <Section title="What it is made of">
        <TextField
          label="Name of the face"
          value={face.name}
          onChange={(name) => onChange({ name: name.trim() || face.name })}
          most={120}
        />
        <Chips
          label="Build"
          options={optionsOf(BUILDS)}
          value={face.build}
          onChange={(build) => onChange({ build, veneerMm: build === 'solid' ? 0 : face.veneerMm || 0.6 })}
        />
        <WoodChips other value={face.species} onChange={(species) => onChange({ species })} />
        {face.build === 'solid' ? null : (
          <>
            <LengthField
              label="Veneer thickness"
              help={`Read it at an edge, a chip or a screw hole. New veneer is often ${length(COMMON_VENEERS_MM.newLeast)} to ${length(COMMON_VENEERS_MM.newMost)}, old up to ${length(COMMON_VENEERS_MM.oldMost)}.`}
              valueMm={face.veneerMm}
              unit={unit}
              check={(mm) => {
                if (mm < VENEER_RANGE_MM.least || mm > VENEER_RANGE_MM.most) {
                  throw new RangeError(
                    `A veneer of ${length(mm)} cannot be; it lies between ${length(VENEER_RANGE_MM.least)} and ${length(VENEER_RANGE_MM.most)}.`,
                  );
                }
              }}
              onChange={(veneerMm) => onChange({ veneerMm })}
            />
            {readings && Math.abs(readings.least - face.veneerMm) > 0.005 ? (
              <Button
                label={`Take the least of ${readings.count} readings: ${length(readings.least)}`}
                onPress={() => onChange({ veneerMm: readings.least })}
              />
            ) : null}
            <TextField
              label="Period of the veneer"
              help="In your own words, as on the sheets that shall match it."
              value={face.period ?? ''}
              most={60}
              onChange={(period) => onChange({ period: period.trim() || undefined })}
            />
          </>
        )}
        <LengthField
          label="Thickness of the board"
          help="With its veneer. It tells whether a hole goes right through."
          valueMm={face.boardMm}
          unit={unit}
          check={(mm) => {
            if (mm < 1 || mm > MOST_DEPTH_MM)
              throw new RangeError(`A board is between 1 mm and ${MOST_DEPTH_MM} mm thick.`);
          }}
          onChange={(boardMm) => onChange({ boardMm })}
        />
        <Chips
          label="Finish on it now"
          options={optionsOf(FINISHES_NOW)}
          value={face.finishNow}
          onChange={(finishNow) => onChange({ finishNow })}
        />
        <Chips
          label="Is it seen?"
          options={[
            { value: true, label: 'Show face' },
            { value: false, label: 'Hidden face' },
          ]}
          value={face.show}
          onChange={(show) => onChange({ show })}
        />
      </Section>
      <Fold title="This face is treated otherwise than the piece">
        <Text kind="quiet">
          {`The piece: ${SCHOOLS[piece.school].label.toLowerCase()}, ${FINISH_GOALS[piece.goal].toLowerCase()}. A painted case may keep a clear top.`}
        </Text>
        <Chips<School | 'piece'>
          label="School of this face"
          options={[{ value: 'piece', label: 'As the piece' }, ...optionsOf(SCHOOLS)]}
          value={face.school ?? 'piece'}
          onChange={(school) => onChange({ school: school === 'piece' ? undefined : school })}
        />
        <Chips<FinishGoal | 'piece'>
          label="Finish of this face in the end"
          options={[{ value: 'piece', label: 'As the piece' }, ...optionsOf(FINISH_GOALS)]}
          value={face.goal ?? 'piece'}
          onChange={(goal) => onChange({ goal: goal === 'piece' ? undefined : goal })}
        />
      </Fold>
    </>
  );
}
