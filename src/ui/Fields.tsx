import { useContext, useId, useState } from 'react';
import { Pressable, StyleSheet, TextInput, View } from 'react-native';
import { exactLength, fieldScale, parseLength, plainNumber, type LengthUnit } from '@/core/units';
import { Text } from './Text';
import { Button } from './Button';
import { fonts, space, useTheme } from './theme';
import { dropUnsaved, keepUnsaved, unsavedText } from './unsaved';
import { useLeaving } from './useLeaving';
import { UnitsContext, useWords } from './words';

const useInputStyle = () => {
  const theme = useTheme();
  return [styles.input, { color: theme.ink, borderColor: theme.control, backgroundColor: theme.board }];
};

type FieldProps = { label: string; help?: string; error?: string };

function Frame({ label, help, error, id, children }: FieldProps & { id: string; children: React.ReactNode }) {
  return (
    <View style={styles.field}>
      <Text kind="strong">{label}</Text>
      {help ? <Text kind="quiet">{help}</Text> : null}
      {children}
      {error ? (
        <View nativeID={`${id}-error`} role="alert">
          <Text kind="quiet" tone="oxblood">
            {error}
          </Text>
        </View>
      ) : null}
    </View>
  );
}

/** From here on a text is told how much of its room is left. */
const NEARLY_FULL = 0.9;

/**
 * A line or a few lines of text; handed on when the field or the page is left. What cannot be saved stays in the field, says why,
 * and is still there after a reload.
 *
 * @param onChange may answer with a promise of whether it was saved
 */
export function TextField({
  label,
  help,
  value,
  onChange,
  lines = 1,
  most = 4000,
}: FieldProps & { value: string; onChange: (text: string) => unknown; lines?: number; most?: number }) {
  const [draft, setDraft] = useState<string | undefined>(() => unsavedText(label, value));
  // What was refused before the page was loaded anew still is.
  const [refused, setRefused] = useState(draft !== undefined);
  const id = useId();
  const input = useInputStyle();
  const over = (draft?.length ?? 0) - most;
  const commit = (): void => {
    if (draft === undefined) return;
    if (over > 0) {
      keepUnsaved(label, value, draft);
      return;
    }
    const done = (): void => {
      dropUnsaved(label);
      setRefused(false);
      setDraft((d) => (d === draft ? undefined : d));
    };
    if (draft === value) {
      done();
      return;
    }
    void Promise.resolve(onChange(draft)).then((saved) => {
      if (saved !== false) {
        done();
        return;
      }
      keepUnsaved(label, value, draft);
      setRefused(true);
    });
  };
  // It was saved after all, by a change that was let win.
  if (refused && draft === value) {
    setRefused(false);
    setDraft(undefined);
    dropUnsaved(label);
  }
  useLeaving(commit);
  const shown = draft ?? value;
  const problem =
    over > 0
      ? `${over} ${over === 1 ? 'letter' : 'letters'} more than the ${most} that can be kept. It stands here and is saved once it is shorter.`
      : refused
        ? 'Not saved yet. What you typed stands here.'
        : undefined;
  return (
    <Frame label={label} help={help} error={problem} id={id}>
      <TextInput
        aria-label={label}
        aria-invalid={problem !== undefined}
        aria-describedby={problem ? `${id}-error` : undefined}
        value={shown}
        onChangeText={setDraft}
        onBlur={commit}
        onSubmitEditing={lines === 1 ? commit : undefined}
        multiline={lines > 1}
        numberOfLines={lines}
        style={[input, lines > 1 && { minHeight: 26 * lines }]}
      />
      {over <= 0 && shown.length > NEARLY_FULL * most ? (
        <Text kind="label">{`${most - shown.length} ${most - shown.length === 1 ? 'letter' : 'letters'} left`}</Text>
      ) : null}
      {refused && over <= 0 ? <Button label="Save it now" onPress={commit} /> : null}
    </Frame>
  );
}

/** A word to look for; what is found changes while it is typed. */
export function SearchField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (text: string) => void;
}) {
  const input = useInputStyle();
  const theme = useTheme();
  return (
    <TextInput
      role="searchbox"
      aria-label={label}
      placeholder={label}
      placeholderTextColor={theme.quiet}
      value={value}
      onChangeText={onChange}
      style={input}
    />
  );
}

/** A length in the user's unit: fractions of an inch or millimetres, typed as it is written in a shop. */
export function LengthField({
  label,
  help,
  valueMm,
  unit,
  onChange,
  check,
}: FieldProps & {
  /** Not measured yet when not given. */
  valueMm: number | undefined;
  unit: LengthUnit;
  onChange: (mm: number) => void;
  check?: (mm: number) => void;
}) {
  const [draft, setDraft] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const id = useId();
  const input = useInputStyle();
  const theme = useTheme();
  const shown = valueMm === undefined ? '' : exactLength(valueMm, unit);
  const commit = (): void => {
    if (draft === undefined) return;
    if (draft === shown || (draft.trim() === '' && valueMm === undefined)) {
      setDraft(undefined);
      return;
    }
    try {
      const mm = parseLength(draft, unit);
      check?.(mm);
      setProblem(undefined);
      setDraft(undefined);
      onChange(mm);
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error);
      setProblem(valueMm === undefined ? why : `${why} The value before it, ${shown}, still counts.`);
    }
  };
  useLeaving(commit);
  return (
    <Frame label={label} help={help} error={problem} id={id}>
      <TextInput
        aria-label={label}
        aria-invalid={problem !== undefined}
        aria-describedby={problem ? `${id}-error` : undefined}
        value={draft ?? shown}
        onFocus={() => setDraft((d) => d ?? shown)}
        onChangeText={(text) => {
          setDraft(text);
          setProblem(undefined);
        }}
        onBlur={commit}
        onSubmitEditing={commit}
        placeholder="not measured"
        placeholderTextColor={theme.quiet}
        selectTextOnFocus
        style={[input, styles.short]}
      />
    </Frame>
  );
}

type StepperProps = FieldProps & {
  value: number;
  onChange: (value: number) => void;
  least: number;
  most: number;
  step?: number;
  unit?: string;
  decimals?: number;
};

/** A number with big buttons to either side, typed too. */
export function Stepper({
  label,
  help,
  value,
  onChange,
  least,
  most,
  step = 1,
  unit,
  decimals = 0,
}: StepperProps) {
  const theme = useTheme();
  const words = useWords();
  const id = useId();
  const [draft, setDraft] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const scale = fieldScale(unit, step, decimals, useContext(UnitsContext));
  const text = (metric: number): string => scale.shown(metric).toFixed(scale.decimals);
  const set = (shown: number): void => {
    setProblem(undefined);
    setDraft(undefined);
    onChange(Math.min(most, Math.max(least, Number(scale.meant(shown).toFixed(4)))));
  };
  const commit = (): void => {
    if (draft === undefined) return;
    if (draft === text(value)) {
      setDraft(undefined);
      return;
    }
    const typed = plainNumber(draft);
    const meant = Number(scale.meant(typed).toFixed(4));
    if (draft.trim() === '' || !Number.isFinite(typed) || meant < least || meant > most) {
      setProblem(
        `“${draft}” is not a number between ${text(least)} and ${text(most)}. The value before it, ${text(value)}, still counts.`,
      );
      return;
    }
    set(typed);
  };
  useLeaving(commit);
  const input = useInputStyle();
  const button = (sign: 1 | -1, name: string) => (
    <Pressable
      role="button"
      aria-label={words(`${label}: ${name}`)}
      onPress={() => set(scale.shown(value) + sign * scale.step)}
      style={[styles.step, { borderColor: theme.control }]}
    >
      <Text kind="number">{sign > 0 ? '+' : '−'}</Text>
    </Pressable>
  );
  return (
    <Frame label={label} help={help} error={problem} id={id}>
      <View style={styles.stepper}>
        {button(-1, 'less')}
        <TextInput
          aria-label={words(scale.unit ? `${label}, ${scale.unit}` : label)}
          inputMode="decimal"
          value={draft ?? text(value)}
          onChangeText={(typed) => {
            setDraft(typed);
            setProblem(undefined);
          }}
          onBlur={commit}
          onSubmitEditing={commit}
          selectTextOnFocus
          style={[input, styles.number]}
        />
        {button(1, 'more')}
        {scale.unit ? <Text kind="body">{scale.unit}</Text> : null}
      </View>
    </Frame>
  );
}

const styles = StyleSheet.create({
  field: { gap: space(1.5) },
  input: {
    minHeight: 48,
    borderWidth: 1.5,
    borderRadius: 6,
    paddingHorizontal: space(3),
    paddingVertical: space(2),
    fontFamily: fonts.text,
    fontSize: 17,
  },
  short: { maxWidth: 200, fontFamily: fonts.mono },
  number: { width: 96, textAlign: 'center', fontFamily: fonts.mono },
  stepper: { flexDirection: 'row', alignItems: 'center', gap: space(2), flexWrap: 'wrap' },
  step: {
    width: 48,
    height: 48,
    borderWidth: 1.5,
    borderRadius: 6,
    alignItems: 'center',
    justifyContent: 'center',
  },
});
