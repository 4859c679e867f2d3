// Reads a calendar from standard input with ical.js (RFC 5545) and writes its events as JSON.
import ICAL from "ical.js";

let text = "";
for await (const part of process.stdin) text += part;
const calendar = new ICAL.Component(ICAL.parse(text));
const events = calendar.getAllSubcomponents("vevent").map((component) => {
  const { uid, summary, location, description, startDate, endDate } = new ICAL.Event(component);
  return { uid, summary, location, description, start: startDate.toString(), end: endDate.toString(), isDay: startDate.isDate };
});
console.log(JSON.stringify(events));
