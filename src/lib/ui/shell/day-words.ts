/**
 * A kept day as people here write it, on one line.
 *
 * @param day YYYY-MM-DD; anything else is given back as it is
 * @param locale the browser's own when left out
 * @example dayWords('2026-11-01', 'en-GB') // 1 Nov 2026
 */
export function dayWords(day: string, locale?: string): string {
  const moment = /^\d{4}-\d{2}-\d{2}$/.test(day) ? Date.parse(`${day}T00:00:00Z`) : NaN;
  if (Number.isNaN(moment)) return day;
  return formatFor(locale).format(moment).replaceAll(' ', '\u00a0');
}

/** Made once for a locale: making one takes a thousand times as long as using it. */
const formats = new Map<string | undefined, Intl.DateTimeFormat>();
function formatFor(locale: string | undefined): Intl.DateTimeFormat {
  let format = formats.get(locale);
  if (!format) {
    format = new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeZone: 'UTC' });
    formats.set(locale, format);
  }
  return format;
}
