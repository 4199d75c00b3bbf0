import { StyleSheet, View } from 'react-native';
import { bigTime, type GlueClock } from '@/core/glueup';
import { nextClamps, type GlueUp } from '@/core/job';
import { Notice, Text, useTheme } from '@/ui';

const clockText = (ms: number): string => {
  const d = new Date(ms);
  return `${String(d.getHours()).padStart(2, '0')}:${String(d.getMinutes()).padStart(2, '0')}`;
};
const dayText = (ms: number): string =>
  new Date(ms).toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });

const PHASE_WORDS: Record<GlueClock['phase'], string> = {
  open: 'left to get the clamps on',
  late: 'past the open time: the glue has begun to tack',
  clamped: 'until the clamps come off',
  off: 'until it may be worked on',
  workable: 'It is hard: it may be worked on.',
};

/** What must happen by when, in figures that are read from the far end of a bench. */
export function Clock({ clock }: { clock: GlueClock }) {
  const theme = useTheme();
  const late = clock.phase === 'late';
  const words = PHASE_WORDS[clock.phase];
  return (
    <View style={styles.clock} role="timer" aria-label={`${bigTime(clock.leftMs)} ${words}`}>
      {clock.phase === 'workable' ? null : (
        <Text
          kind="figure"
          tone={late ? 'oxblood' : 'ink'}
          style={[styles.huge, bigTime(clock.leftMs).length > 5 && styles.long]}
        >
          {bigTime(clock.leftMs)}
        </Text>
      )}
      <Text style={styles.words}>{words}</Text>
      <View style={[styles.track, { backgroundColor: theme.line }]}>
        <View
          style={{
            height: 18,
            width: `${100 * clock.gone}%`,
            backgroundColor: late ? theme.oxblood : clock.phase === 'open' ? theme.lampEdge : theme.verdigris,
          }}
        />
      </View>
      <View style={styles.marks}>
        {clock.clampsOffAtMs === undefined ? (
          <Moment label="Clamps on by" value={clockText(clock.clampsOnByMs)} />
        ) : (
          <>
            <Moment
              label="Clamps off at"
              value={clockText(clock.clampsOffAtMs)}
              note={dayText(clock.clampsOffAtMs)}
            />
            {clock.workableAtMs ? (
              <Moment
                label="Work on it from"
                value={clockText(clock.workableAtMs)}
                note={dayText(clock.workableAtMs)}
              />
            ) : null}
          </>
        )}
      </View>
    </View>
  );
}

/** Whether the next stage has its clamps, or when it will. */
export function NextClamps({ plan, clock }: { plan: GlueUp; clock: GlueClock }) {
  const next = clock.clampsOffAtMs === undefined ? undefined : nextClamps(plan, clock.clampsOffAtMs);
  if (!next) return null;
  return (
    <Notice
      kind="rest"
      title={`The next stage takes ${next.needed} ${next.needed === 1 ? 'clamp' : 'clamps'}`}
    >
      {next.atMs === undefined
        ? `${next.freeNow} are free now.`
        : `${next.freeNow} ${next.freeNow === 1 ? 'is' : 'are'} free now; those of this stage come off at ${clockText(next.atMs)}, ${dayText(next.atMs)}.`}
    </Notice>
  );
}

function Moment({ label, value, note }: { label: string; value: string; note?: string }) {
  return (
    <View>
      <Text kind="quiet">{label}</Text>
      <Text kind="figure" style={styles.large}>
        {value}
      </Text>
      {note ? <Text kind="label">{note}</Text> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  clock: { gap: 12 },
  huge: { fontSize: 104, lineHeight: 112, letterSpacing: -3 },
  // Six letters still fit the width of a phone.
  long: { fontSize: 88, lineHeight: 100, letterSpacing: -6 },
  large: { fontSize: 44, lineHeight: 50 },
  words: { fontSize: 22, lineHeight: 28 },
  track: { height: 18, borderRadius: 4, overflow: 'hidden' },
  marks: { flexDirection: 'row', flexWrap: 'wrap', gap: 32 },
});
