import { index, layout, prefix, route, type RouteConfig } from "@react-router/dev/routes";

export default [
  index("routes/home.tsx"),
  route("open", "routes/open-room.tsx"),
  route("sign-in", "routes/sign-in.tsx"),
  route("sign-out", "routes/sign-out.ts"),
  route("in/:secret", "routes/personal-link.tsx"),
  route("password", "routes/password.tsx"),
  route("nobody", "routes/nobody.tsx"),
  route("sound", "routes/sound-check.tsx"),
  route("health", "routes/health.ts"),
  route("studio/:studioId/sessions/:sessionId/stand", "routes/stand.tsx"),
  route("studio/:studioId/sessions/:sessionId/events", "routes/session-events.ts"),
  layout("routes/desk.tsx", [
    ...prefix("studio/:studioId", [
      index("routes/week.tsx"),
      route("library", "routes/library.tsx"),
      route("students/new", "routes/student-new.tsx"),
      route("students/:personId", "routes/student.tsx"),
      route("students/:personId/today", "routes/today.tsx"),
      route("students/:personId/today/shapes", "routes/shapes.ts"),
      route("students/:personId/access", "routes/access.tsx"),
      route("students/:personId/log", "routes/log.tsx"),
      route("students/:personId/pieces/new", "routes/piece-new.tsx"),
      route("students/:personId/pieces/:pieceId", "routes/piece.tsx"),
      route("students/:personId/pieces/:pieceId/edit", "routes/piece-edit.tsx"),
      route("passages/:passageId", "routes/progress.tsx"),
      route("passages/:passageId/ladder", "routes/ladder.tsx"),
      route("sessions/:sessionId", "routes/afterwards.tsx"),
    ]),
  ]),
  route("*", "routes/nowhere.tsx"),
] satisfies RouteConfig;
