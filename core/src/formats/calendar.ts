import ical from 'ical-generator';
import { addDays, dayNumber, type Day } from '../days';

/** Something on a day or over several, as a calendar keeps it. */
export interface CalendarEvent {
  /** Stays the same from export to export, so that a calendar updates instead of doubling. */
  readonly uid: string;
  readonly title: string;
  readonly from: Day;
  /** The last day of it. */
  readonly to: Day;
  readonly text: string;
}

/**
 * An iCalendar file of whole-day events.
 * @param stamp when the file is written
 * Source: RFC 5545; a whole-day event ends on the day after its last (§3.6.1).
 */
export function calendarOf(name: string, events: readonly CalendarEvent[], stamp: Date): string {
  const calendar = ical({
    name,
    prodId: { company: 'Hypogeon', product: 'Hypogeon', language: 'EN' },
  });
  for (const { uid, title, from, to, text } of events)
    calendar.createEvent({
      id: uid,
      allDay: true,
      start: noon(from),
      end: noon(addDays(to, 1)),
      summary: title,
      description: text,
      stamp,
    });
  return calendar.toString();
}

/** The middle of a grower's day: the date is the same in every zone the file is written in. */
const noon = (day: Day): Date => new Date(dayNumber(day) * 86_400_000 + 43_200_000);
