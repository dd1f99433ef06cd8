import Button, { type ButtonProps } from "@mui/material/Button";
import { useRef } from "react";
import { useNavigation } from "react-router";

/** A second press within this time is the other half of a double press. */
const DOUBLE_PRESS_MS = 700;

/**
 * Sends its form once: until the answer is there, a second press does nothing, nor does the second
 * half of a double press, which can come before the page has drawn that the form is on its way.
 */
export function SubmitButton({ disabled, ...rest }: Omit<ButtonProps, "type" | "onClick">) {
  const { state } = useNavigation();
  const pressedAt = useRef(-Infinity);
  return (
    <Button
      {...rest}
      type="submit"
      disabled={disabled === true || state !== "idle"}
      onClick={(event) => {
        if (event.timeStamp - pressedAt.current < DOUBLE_PRESS_MS) event.preventDefault();
        else pressedAt.current = event.timeStamp;
      }}
    />
  );
}
