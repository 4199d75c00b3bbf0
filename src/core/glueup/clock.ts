/** A glue-up as it runs: moments in milliseconds since 1970, so that nothing is lost when the screen sleeps or reloads. */
export type GlueUp = {
  startedAt: number;
  /** Set when the last clamp of the stage is on. */
  clampedAt?: number;
};

export type GlueClock = {
  phase: 'open' | 'late' | 'clamped' | 'off' | 'workable';
  /** Until the next mark; negative when it has passed. Milliseconds. */
  leftMs: number;
  /** How much of the phase has gone, 0…1. */
  gone: number;
  clampsOnByMs: number;
  clampsOffAtMs?: number;
  workableAtMs?: number;
  /** The device's clock was set back since: how long the glue has really been out is not known, and this is the longest it can take. */
  setBack: boolean;
};

/** Clocks are set by so much now and then without anybody noticing. */
const DRIFT_MS = 5000;

/**
 * Where a glue-up stands at a moment.
 *
 * @param times open, clamp and working times in minutes, working counted from the clamps going on
 */
export function glueClock(
  glueUp: GlueUp,
  times: { openMin: number; clampMin: number; workableMin: number },
  nowMs: number,
): GlueClock {
  const minutes = 60_000;
  // Nothing has begun later than now, whatever the clock said then: no wait is longer than the glue's own.
  const startedAt = Math.min(glueUp.startedAt, nowMs);
  const clampedAt = glueUp.clampedAt === undefined ? undefined : Math.min(glueUp.clampedAt, nowMs);
  const setBack = Math.max(glueUp.startedAt, glueUp.clampedAt ?? 0) - nowMs > DRIFT_MS;
  const clampsOnByMs = startedAt + times.openMin * minutes;
  if (clampedAt === undefined) {
    const leftMs = clampsOnByMs - nowMs;
    return {
      phase: leftMs >= 0 ? 'open' : 'late',
      leftMs,
      gone: Math.min(1, Math.max(0, (nowMs - startedAt) / (times.openMin * minutes))),
      clampsOnByMs,
      setBack,
    };
  }
  const clampsOffAtMs = clampedAt + times.clampMin * minutes;
  const workableAtMs = clampedAt + times.workableMin * minutes;
  const next = nowMs < clampsOffAtMs ? clampsOffAtMs : workableAtMs;
  const from = nowMs < clampsOffAtMs ? clampedAt : clampsOffAtMs;
  return {
    phase: nowMs < clampsOffAtMs ? 'clamped' : nowMs < workableAtMs ? 'off' : 'workable',
    leftMs: next - nowMs,
    gone: next > from ? Math.min(1, Math.max(0, (nowMs - from) / (next - from))) : 1,
    clampsOnByMs,
    clampsOffAtMs,
    workableAtMs,
    setBack,
  };
}

/** A span for reading at two metres: “4:07” below an hour, “2 h 05” from there on. */
export function bigTime(ms: number): string {
  const seconds = Math.ceil(Math.abs(ms) / 1000);
  const sign = ms < 0 ? '−' : '';
  const two = (n: number): string => String(n).padStart(2, '0');
  return seconds < 3600
    ? `${sign}${Math.floor(seconds / 60)}:${two(seconds % 60)}`
    : `${sign}${Math.floor(seconds / 3600)} h ${two(Math.floor((seconds % 3600) / 60))}`;
}
