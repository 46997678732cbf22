import { Injectable } from '@angular/core';
import { MatDatepickerIntl } from '@angular/material/datepicker';
import { say } from '@hypogeon/messages/calendar-words';

/** What the calendar of a day field says to those who do not see it, in the language that is read. */
@Injectable()
export class CalendarWords extends MatDatepickerIntl {
  override calendarLabel = say.calendar();
  override openCalendarLabel = say.openTheCalendar();
  override closeCalendarLabel = say.closeTheCalendar();
  override prevMonthLabel = say.monthBefore();
  override nextMonthLabel = say.nextMonth();
  override prevYearLabel = say.yearBefore();
  override nextYearLabel = say.nextYear();
  override prevMultiYearLabel = say.yearsBefore();
  override nextMultiYearLabel = say.nextYears();
  override switchToMonthViewLabel = say.chooseADay();
  override switchToMultiYearViewLabel = say.chooseMonthAndYear();
}
