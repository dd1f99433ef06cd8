/** What a week says in a calendar program. */
export const calendarWords = {
  name: (person: string) => `Practice: ${person}`,
  practice: "Practice",
  lesson: "Music lesson",
  line: (title: string, minutes: number) => `${title}: ${minutes} min`,
} as const;
