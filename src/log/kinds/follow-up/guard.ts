import { issue } from "@/core/result";
import type { Guard } from "../../guard";

/** A day to come back on is today or later. */
export const guard: Guard<"follow-up"> = ({ onDay }, _, __, { today }) => {
  if (onDay === null || onDay >= today) return [];
  return [
    issue(
      "payload.onDay",
      "guard/past-day",
      `${onDay} is past: today is ${today} here. Choose today or later, or leave the day out.`,
      onDay,
    ),
  ];
};
