/** The lines of a text file, as they come: never more of it in memory than a piece and a line. */
export async function* linesOf(file: Blob): AsyncGenerator<string> {
  const decoder = new TextDecoder();
  const reader = file.stream().getReader();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read();
    rest += done ? decoder.decode() : decoder.decode(value, { stream: true });
    const lines = rest.split('\n');
    rest = lines.pop()!;
    yield* lines;
    if (done) break;
  }
  if (rest !== '') yield rest;
}
