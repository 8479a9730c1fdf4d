import hooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

export default tseslint.config(
  { ignores: ["dist", "target", "node_modules", "src/api/schema.ts"] },
  ...tseslint.configs.strict,
  hooks.configs.flat["recommended-latest"],
  { rules: { "no-console": "error" } },
);
