import type { UseQueryResult } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Loading } from "./Loading";
import { Told } from "./Told";

interface Props<T> {
  query: UseQueryResult<T>;
  /** What is said until it is here. */
  loading: string;
  children: (value: T) => ReactNode;
}

/** What was fetched; until then that it comes, and where it does not come why, and a way to ask again. */
export function Fetched<T>({ query, loading, children }: Props<T>) {
  const again = () => void query.refetch();
  if (query.data === undefined) {
    return query.error ? (
      <Told trouble={query.error} onRetry={again} />
    ) : (
      <Loading>{loading}</Loading>
    );
  }
  return (
    <>
      {query.error && <Told trouble={query.error} onRetry={again} />}
      {children(query.data)}
    </>
  );
}
