import { differenceWords, outlookWords, type Outlook } from '@/core/shelf';
import { Figure } from '@/ui';

/** A difference that is expected, with how far that may be off and how often it is seen. */
export function OutlookFigure({
  label,
  outlook,
  more,
  alarm,
  source,
}: {
  label: string;
  outlook: Outlook;
  /** A sentence more about it. */
  more?: string;
  alarm?: boolean;
  source?: string;
}) {
  return (
    <Figure
      label={label}
      value={differenceWords(outlook)}
      unit="ΔE00"
      note={[outlookWords(outlook), ...(more ? [more] : [])].join(' ')}
      {...(alarm === undefined ? {} : { alarm })}
      {...(source === undefined ? {} : { source })}
    />
  );
}
