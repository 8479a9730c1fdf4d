package calmpour.core.audit;

import calmpour.core.plan.Facts;

/** One thing that a plan may break or nearly break. */
interface Rule {
  void judge(Facts facts, Findings told);
}
