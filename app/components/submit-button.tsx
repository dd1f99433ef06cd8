import Button, { type ButtonProps } from "@mui/material/Button";
import { useNavigation } from "react-router";

/** Sends its form once: until the answer is there, a second press does nothing. */
export function SubmitButton({ disabled, ...rest }: Omit<ButtonProps, "type">) {
  const { state } = useNavigation();
  return <Button type="submit" disabled={disabled === true || state !== "idle"} {...rest} />;
}
