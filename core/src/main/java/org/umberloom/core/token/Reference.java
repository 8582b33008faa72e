package org.umberloom.core.token;

/** A value that is read from another token. */
public sealed interface Reference extends TokenValue permits Alias, PropertyReference {
    /** The token that is referred to. */
    TokenPath target();
}
