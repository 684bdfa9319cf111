/** What is read of HTML; lengths as one word, whole, numerator and denominator one after the other. */
export function readHtml(html: string): string {
  return html
    .replaceAll(/<!--.*?-->|<\/?(span|strong|em|tspan)\b[^>]*>/g, '')
    .replaceAll(/<[^>]*>/g, '|')
    .replaceAll('&#39;', '’')
    .replaceAll('&quot;', '"')
    .replaceAll(/[\s\u2044/≈]+/g, '');
}

/** A text as it stands in what is read. */
export function inOneWord(text: string): string {
  return text.replaceAll(/[\s\u2044/≈]+/g, '');
}
