import { describe, expect, test } from '@jest/globals';
import ICAL from 'ical.js';
import { calendarFile } from './calendar';

// RFC 5545, read back by a reference library (ical.js)
describe('calendarFile', () => {
  const text =
    '# Breakwater\nAMRAP 14:00\n7 dumbbell push press @ 2x15 kg; 9 toes-to-bar, strict\n40 m shuttle run, out and back between the mooring posts of the long pier';
  const file = calendarFile({
    uid: 'abc@gambito',
    title: 'Breakwater, for Corvalume',
    text,
    url: 'http://127.0.0.1:4780/a/abc',
    day: '2026-12-31',
    now: new Date('2026-12-01T10:00:00Z'),
  });
  const event = new ICAL.Event(new ICAL.Component(ICAL.parse(file) as unknown[]).getFirstSubcomponent('vevent')!);
  test('is one whole-day entry that survives the round trip, commas, semicolons and line ends included', () => {
    expect(event.summary).toBe('Breakwater, for Corvalume');
    expect(event.description).toBe(text);
    expect(event.startDate.toString()).toBe('2026-12-31');
    expect(event.endDate.toString()).toBe('2027-01-01');
    expect(event.startDate.isDate).toBe(true);
    expect(event.uid).toBe('abc@gambito');
  });
  test('lines end in CRLF and are folded at 75 octets', () => {
    for (const line of file.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    expect(file.includes('\r\n ') || file.includes('\r\n\t')).toBe(true);
  });
});
