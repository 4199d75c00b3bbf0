/** Input of `bench.schedule` with so many tasks that compete for two hands and some clamps. */
export const scheduleOf = (tasks: number, tries: number): string =>
  JSON.stringify({
    tasks: Array.from({ length: tasks }, (_, i) => ({
      id: `t${i}`,
      attendedMin: 5 + ((i * 7) % 50),
      unattendedMin: (i * 31) % 300,
      after: i % 10 === 0 ? [] : [`t${i - 1}`],
      needs: i % 3 === 0 ? { clamp: 1 + (i % 3) } : {},
      attendedNeeds: { hands: 1 },
    })),
    resources: { hands: 2, clamp: 6 },
    start: '2026-03-02T08:00:00',
    workingHours: { from: '08:00', to: '17:00' },
    tries,
  });
