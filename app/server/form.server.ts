/**
 * The form that a request brings.
 *
 * @throws Response with status 415 or 400 if it brings something else
 */
export async function formOf(request: Request): Promise<FormData> {
  if (!/^(application\/x-www-form-urlencoded|multipart\/form-data)\b/i.test(request.headers.get('Content-Type') ?? ''))
    throw new Response('A form is expected here.', { status: 415, statusText: 'This request cannot be read' });
  try {
    return await request.formData();
  } catch {
    throw new Response('The form in this request cannot be read.', {
      status: 400,
      statusText: 'This request cannot be read',
    });
  }
}
