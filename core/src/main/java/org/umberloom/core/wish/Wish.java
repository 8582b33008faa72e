package org.umberloom.core.wish;

import org.umberloom.core.theme.Asked;

/** What a person asks for, by its subject. */
public sealed interface Wish extends Asked permits ValueWish, ScaleWish, SurfaceWish, PlaceWish, ThemeWish {}
