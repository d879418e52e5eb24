/** What the server's check says, as it stands under a field. */
export function offenceWords(message: string): string {
  if (
    /^(is required|may not be null|must not be empty|must be an object|must hold at least 1)$/.test(message)
  )
    return 'Not filled in yet; this has to be known before the record can be kept.';
  if (message === 'must have its lower limit first')
    return 'The lower figure comes first, the higher one second.';
  const options = /^must be one of: (.*)$/.exec(message)?.[1];
  return options === undefined ? `It ${message}.` : `Choose one of: ${options}.`;
}
