const LOCALE = /^[a-z]{2,3}(-[a-z0-9]{2,8})*$/i;

/** The first locale that the browser asks for; numbers and dates are written in it. */
export function preferredLocale(acceptLanguage: string | null): string {
  const first = acceptLanguage?.split(",")[0]?.split(";")[0]?.trim() ?? "";
  if (!LOCALE.test(first)) return "en-GB";
  return Intl.DateTimeFormat.supportedLocalesOf(first)[0] ?? "en-GB";
}
