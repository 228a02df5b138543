/** The day so many days after a day, ISO both. */
export function daysAfter(iso: string, days: number): string {
  const at = new Date(`${iso}T12:00:00Z`)
  at.setUTCDate(at.getUTCDate() + days)
  return at.toISOString().slice(0, 10)
}
