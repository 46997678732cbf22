/** A year of a logger that writes every ten minutes: 52,560 rows as CSV. */
export function loggerYear(): string {
  const rows = ['Date,Time,Temp (°C),Humidity (%)'];
  for (let i = 0; i < 52_560; i++) {
    const at = new Date(Date.UTC(2025, 0, 1, 0, i * 10)).toISOString();
    const year = Math.cos((i / 52_560) * 2 * Math.PI);
    const day = Math.sin((i / 144) * 2 * Math.PI);
    const temperature = 15 - 8 * year + 4 * day + ((i * 7919) % 13) / 20;
    rows.push(
      `${at.slice(0, 10)},${at.slice(11, 16)},${temperature.toFixed(1)},${(62 - 10 * day).toFixed(0)}`,
    );
  }
  return rows.join('\n');
}
