/** Minutes of one day. */
const DAY_MIN = 24 * 60;

/**
 * A minute of a day as people here write the time; of several days with the number of its day before it.
 *
 * @param minute minutes after the midnight before the first day
 * @param days how many days there are
 * @param locale the browser's own when left out
 * @example clockWords(760, 1, 'en-GB') // 12:40
 */
export function clockWords(minute: number, days = 1, locale?: string): string {
  const whole = Math.floor(minute + 1e-6);
  const time = formatFor(locale).format(new Date(Date.UTC(2000, 0, 1, 0, whole % DAY_MIN)));
  return days > 1 ? `day ${Math.floor(whole / DAY_MIN) + 1}, ${time}` : time;
}

/** Made once for a locale: making one takes a thousand times as long as using it. */
const formats = new Map<string | undefined, Intl.DateTimeFormat>();
function formatFor(locale: string | undefined): Intl.DateTimeFormat {
  let format = formats.get(locale);
  if (!format) {
    format = new Intl.DateTimeFormat(locale, {
      hour: '2-digit',
      minute: '2-digit',
      timeZone: 'UTC'
    });
    formats.set(locale, format);
  }
  return format;
}

/** Minutes after midnight as a time field holds them, and back; undefined where it is empty. */
export const timeOf = (minute: number): string =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(Math.round(minute) % 60).padStart(2, '0')}`;

export function minuteOf(time: string): number | undefined {
  const parts = /^(\d{1,2}):(\d{2})$/.exec(time.trim());
  if (!parts) return undefined;
  const [hours, minutes] = [Number(parts[1]), Number(parts[2])];
  return hours < 24 && minutes < 60 ? hours * 60 + minutes : undefined;
}
