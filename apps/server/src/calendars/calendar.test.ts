import { describe, expect, test } from '@jest/globals';
import ICAL from 'ical.js';
import { calendarFile, type CalendarEntry } from './calendar';

const entry = (change: Partial<CalendarEntry> = {}): CalendarEntry => ({
  uid: 'abc@gambito',
  title: 'Breakwater, for Corvalume',
  text: '# Breakwater\nAMRAP 14:00\n7 dumbbell push press @ 2x15 kg; 9 toes-to-bar, strict\n40 m shuttle run, out and back between the mooring posts of the long pier',
  url: 'http://127.0.0.1:4780/a/abc',
  day: '2026-12-31',
  changedAt: new Date('2026-12-01T10:00:00Z'),
  ...change,
});
const read = (file: string) => new ICAL.Component(ICAL.parse(file) as unknown[]);
const events = (file: string) =>
  read(file)
    .getAllSubcomponents('vevent')
    .map((event) => new ICAL.Event(event));
const valueOf = (event: ICAL.Event, name: string): unknown => event.component.getFirstPropertyValue(name);

// RFC 5545, read back by a reference library (ical.js)
describe('calendarFile', () => {
  const file = calendarFile([entry()]);
  const [event] = events(file);
  test('is one whole-day entry that survives the round trip, commas, semicolons and line ends included', () => {
    expect(event!.summary).toBe('Breakwater, for Corvalume');
    expect(event!.description).toBe(entry().text);
    expect(event!.startDate.toString()).toBe('2026-12-31');
    expect(event!.endDate.toString()).toBe('2027-01-01');
    expect(event!.startDate.isDate).toBe(true);
    expect(event!.uid).toBe('abc@gambito');
  });
  test('lines end in CRLF and are folded at 75 octets', () => {
    for (const line of file.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    expect(file.includes('\r\n ') || file.includes('\r\n\t')).toBe(true);
  });
  test('a later change has a higher number, under the same name; what was withdrawn is cancelled', () => {
    const feed = [
      entry(),
      entry({ changedAt: new Date('2026-12-01T10:00:01Z'), day: '2027-01-02' }),
      entry({ changedAt: new Date('2026-12-02T10:00:00Z'), cancelled: true }),
    ];
    const [first, moved, gone] = feed.map((each) => events(calendarFile([each]))[0]!);
    expect(new Set([first!.uid, moved!.uid, gone!.uid]).size).toBe(1);
    expect(Number(valueOf(moved!, 'sequence'))).toBeGreaterThan(Number(valueOf(first!, 'sequence')));
    expect(Number(valueOf(gone!, 'sequence'))).toBeGreaterThan(Number(valueOf(moved!, 'sequence')));
    expect([moved!.description, gone!.description ?? '']).toEqual([entry().text, '']);
    expect([first!, moved!, gone!].map((each) => valueOf(each, 'status'))).toEqual(['CONFIRMED', 'CONFIRMED', 'CANCELLED']);
  });
  test('a feed has them all and a name; without any it is a calendar all the same', () => {
    const feed = calendarFile([entry(), entry({ uid: 'def@gambito' })], 'Lanterns');
    expect(events(feed).map(({ uid }) => uid)).toEqual(['abc@gambito', 'def@gambito']);
    expect(read(feed).getFirstPropertyValue('x-wr-calname')).toBe('Lanterns');
    const empty = read(calendarFile([], 'Lanterns'));
    expect([empty.name, empty.getFirstPropertyValue('version'), empty.getAllSubcomponents().length]).toEqual(['vcalendar', '2.0', 0]);
  });
});
