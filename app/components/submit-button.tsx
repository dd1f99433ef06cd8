import Button, { type ButtonProps } from "@mui/material/Button";
import { useContext, type MouseEvent } from "react";
import { UNSAFE_DataRouterContext, useNavigation } from "react-router";

/** Sends its form once: until the answer is there, a second press does nothing. */
export function SubmitButton({ disabled, onClick, ...rest }: Omit<ButtonProps, "type">) {
  const { state } = useNavigation();
  const router = useContext(UNSAFE_DataRouterContext)?.router;
  // The second half of a double press can come before the button is drawn as taken; the router
  // itself knows at once that a form is on its way.
  const press = (event: MouseEvent<HTMLButtonElement>) => {
    if (router && router.state.navigation.state !== "idle") event.preventDefault();
    else onClick?.(event);
  };
  return (
    <Button
      type="submit"
      disabled={disabled === true || state !== "idle"}
      {...rest}
      onClick={press}
    />
  );
}
