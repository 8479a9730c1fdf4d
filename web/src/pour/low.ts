/** A screen that is low, or magnified: name, quantity and the large key stay, the rest gives way. */
export const LOW = "@media (max-height: 560px)";
