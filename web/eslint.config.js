import hooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

export default tseslint.config(
  { ignores: ["dist", "target", "node_modules", "src/api/schema.ts"] },
  ...tseslint.configs.strict,
  hooks.configs.flat["recommended-latest"],
  { rules: { "no-console": "error" } },
  {
    ignores: ["src/words/dates.ts"],
    rules: {
      "no-restricted-syntax": [
        "error",
        {
          selector: "NewExpression[callee.object.name='Intl']",
          message: "Making a format is slow: words/dates.ts keeps them.",
        },
      ],
    },
  },
);
