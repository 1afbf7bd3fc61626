import { refusal, runInThread, type Answer } from '@/workers/server';

const LARGEST_BODY = 1_000_000;

/** The text of a body, or null when it is longer than allowed, whatever its header says. */
async function boundedText(request: Request): Promise<string | null> {
  const reader = request.body?.getReader();
  if (!reader) return '';
  const decoder = new TextDecoder();
  let [text, bytes] = ['', 0];
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return text + decoder.decode();
    bytes += value.length;
    if (bytes > LARGEST_BODY) {
      await reader.cancel();
      return null;
    }
    text += decoder.decode(value, { stream: true });
  }
}

/** Why a request is refused before it is read; null when it is not. */
function refuse(request: Request): Answer | null {
  const { headers } = request;
  const origin = headers.get('origin');
  // A page of another origin may not use this bench's arithmetic.
  if (origin !== null && URL.canParse(origin) && new URL(origin).host !== headers.get('host'))
    return refusal(403, 'Requests of another origin are refused.');
  if (origin === 'null' || headers.get('sec-fetch-site') === 'cross-site')
    return refusal(403, 'Requests of another origin are refused.');
  const type = headers.get('content-type')?.split(';')[0]?.trim().toLowerCase();
  if (type !== 'application/json')
    return refusal(415, 'The Content-Type must be application/json.');
  return Number(headers.get('content-length') ?? 0) > LARGEST_BODY ? TOO_LARGE : null;
}

const TOO_LARGE = refusal(413, `The body is over ${LARGEST_BODY} bytes.`);

/** `POST /api/compute`: Bilamina's arithmetic for scripts and other programs. See docs/api.md. */
export async function POST(request: Request): Promise<Response> {
  const refused = refuse(request);
  const text = refused ? null : await boundedText(request);
  const answer = refused ?? (text === null ? TOO_LARGE : await runInThread(text));
  return new Response(answer.body, {
    status: answer.status,
    headers: { 'content-type': 'application/json' },
  });
}
