/** The process is alive. */
export const GET = (): Response => new Response('ok');
