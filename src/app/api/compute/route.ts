import { runCompute, type Fault } from '@/core/compute';

const LARGEST_BODY = 1_000_000;

const refuse = (status: number, message: string) => {
  const faults: Fault[] = [{ code: 'not-allowed', path: [], message }];
  return Response.json({ faults }, { status });
};

/** `POST /api/compute`: Bilamina's arithmetic for scripts and other programs. See docs/api.md. */
export async function POST(request: Request): Promise<Response> {
  if (Number(request.headers.get('content-length') ?? 0) > LARGEST_BODY)
    return refuse(413, `The body is over ${LARGEST_BODY} bytes.`);
  const text = await request.text();
  if (text.length > LARGEST_BODY) return refuse(413, `The body is over ${LARGEST_BODY} bytes.`);
  let body: unknown;
  try {
    body = JSON.parse(text);
  } catch {
    return refuse(400, 'The body is not JSON.');
  }
  const response = runCompute(body);
  if (!response.ok) return Response.json({ faults: response.faults }, { status: 422 });
  return Response.json({ compute: response.compute, result: response.result });
}
