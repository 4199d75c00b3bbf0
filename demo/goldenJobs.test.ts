import { benchInput, schedule } from '../src/core/bench';
import type { PhaseId } from '../src/core/catalogue';
import { PHASES } from '../src/core/catalogue';
import { minutesFrom } from '../src/core/calendar';
import { needsOf, planOf, planTable, resourcesOf, type Plan } from '../src/core/job';
import type { PREPARATIONS } from '../src/core/prepare';
import { FINISH_GOALS, SCHOOLS } from '../src/core/terms';
import { GOLDEN, type Golden } from '../src/testing/goldenJobs';

const lines = ({ tasks }: Plan): string[] =>
  tasks.map((t) => `${t.id.replace(/^p\//, '')} ${t.attendedMin} ${t.unattendedMin}`);

describe.each(Object.entries(GOLDEN))('%s', (...[, { job, steps, takes }]: [string, Golden]) => {
  const plan = planOf(job);

  test('its steps, with their minutes', () => {
    expect(lines(plan)).toEqual(steps);
    expect(plan.problems).toEqual([]);
  });

  test('what it takes, to the millilitre and the tenth of a sheet', () => {
    const found = needsOf(plan, job.shop).map((n) => [
      n.material,
      n.sheets === undefined ? Math.round(n.ml ?? 0) : Math.round(n.sheets * 10) / 10,
    ]);
    // Half a millilitre may be rounded either way.
    expect(Object.fromEntries(found)).toEqual(
      Object.fromEntries(
        Object.entries(takes).map(([m, v]) => [m, m === 'paper' ? v : expect.closeTo(v, -0.2)]),
      ),
    );
  });

  test('the table, the bench and the plan say the same minutes, and the days keep the order', async () => {
    const table = planTable(plan, job.piece);
    const shown = new Map(table.rows.flatMap((r) => r.cells.flatMap((c) => c.tasks.map((t) => [t.id, t.attendedMin] as const)))); // prettier-ignore
    const total = [...shown.values()].reduce((a, b) => a + b, 0);
    expect(total).toBe(plan.tasks.reduce((s, t) => s + t.attendedMin, 0));
    expect(table.handsMin).toBe(total);
    const hours = { resources: resourcesOf(job.shop), workingHours: job.shop.workingHours };
    const days = await schedule({ ...benchInput(plan.tasks, [], hours, '2026-03-02T08:00:00'), tries: 0 });
    const byId = new Map(days.tasks.map((t) => [t.id, t]));
    const worked = days.tasks.reduce((s, t) => s + minutesFrom(t.attendedEnd) - minutesFrom(t.start), 0);
    expect(worked).toBe(total);
    for (const t of plan.tasks)
      for (const a of t.after) expect((byId.get(a)?.end ?? '9') <= (byId.get(t.id)?.start ?? '')).toBe(true);
  });
});

test('the twelve meet every school, finish and preparation', () => {
  const plans = Object.values(GOLDEN).map((g) => planOf(g.job));
  expect(plans).toHaveLength(12);
  const ids = new Set(plans.flatMap((p) => p.faces.map((f) => f.preparation.id)));
  expect(ids).toEqual(new Set(['leave', 'clean', 'scuff', 'scrape', 'strip', 'sand'] satisfies (keyof typeof PREPARATIONS)[])); // prettier-ignore
  expect(new Set(plans.flatMap((p) => p.faces.map((f) => f.goal)))).toEqual(
    new Set(Object.keys(FINISH_GOALS)),
  );
  expect(new Set(plans.flatMap((p) => p.faces.map((f) => f.school)))).toEqual(new Set(Object.keys(SCHOOLS)));
});

test('every phase of a plan stands in the table once, in the order of the piece', () => {
  const [golden] = Object.values(GOLDEN);
  if (!golden) throw new Error('There are no golden jobs.');
  const { job } = golden;
  const { phases, rows } = planTable(planOf(job), job.piece);
  expect(phases).toEqual(['intake', 'strip', 'level', 'topCoat', 'rubOut', 'reassemble'] satisfies PhaseId[]);
  expect(rows.map((r) => r.name)).toEqual(['The whole piece', 'Sides (2)', 'Top']);
  expect(rows[1]?.words).toBe('Scuff and coat over, then paint');
  expect(new Set(phases).size).toBe(phases.length);
  expect(PHASES.length).toBeGreaterThan(phases.length);
});
