/**
 * A figure that could not be read stays as typed and is in no value of the form: it must not be sent
 * without it.
 * @returns whether something stands in the way; the first such field has the focus then.
 */
export function firstFault(form: HTMLFormElement): boolean {
  const faulty = form.querySelector<HTMLInputElement>('input:invalid');
  faulty?.focus();
  return faulty !== null;
}
