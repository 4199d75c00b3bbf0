import { daysUntil } from './days';
import type { Unsaved } from './front';

/** A week's work is worth a minute of saving; much work in a day is too. */
const REMIND_DAYS = 7;
const REMIND_CHANGES = 60;
/** A shop that was never saved is reminded when there is something to lose. */
const FIRST_CHANGES = 12;

/** Why it is time to save to a file; nothing while it is not. @param today a day or a local time */
export function backupReminder({ last, changed }: Unsaved, today: string): string | undefined {
  if (last === undefined)
    return changed >= FIRST_CHANGES
      ? 'Your work lives in this browser only, and was never saved to a file.'
      : undefined;
  const days = -daysUntil(last, today);
  if (changed === 0 || (days < REMIND_DAYS && changed < REMIND_CHANGES)) return undefined;
  const when = days <= 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`;
  return `Last saved to a file ${when}; ${changed} ${changed === 1 ? 'record has' : 'records have'} changed since.`;
}
