package org.umberloom.app.deliver;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;

/**
 * A host as somebody wants it.
 *
 * @param kind     sftp or folder
 * @param signsIn  password or key
 * @param password empty where it stays as it is
 * @param key      a private key as text; empty where it stays, or is to be made here
 * @param pinned   the fingerprint that the host showed and somebody confirmed
 */
record HostWanted(
        @NotBlank @Size(max = 120) String name,
        @NotBlank @Size(max = 10) String kind,
        @NotNull @Size(max = 255) String address,
        @NotNull Integer port,
        @NotNull @Size(max = 120) String account,
        @NotNull @Size(max = 400) String folder,
        @NotNull @Size(max = 400) String web,
        @NotNull @Size(max = 10) String signsIn,
        @NotNull @Size(max = 400) String password,
        @NotNull @Size(max = 12_000) String key,
        @NotNull @Size(max = 100) String pinned) {}
