package org.squallnote.sources;

import java.io.IOException;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.UnknownHostException;

/**
 * Which machines somebody may have this application connect to. Asked when a source is entered and again right before each
 * connection, since a name may lead elsewhere by then; Java keeps what a name led to for half a minute.
 */
@FunctionalInterface
public interface Reach {

    /** Every machine. */
    Reach ANYWHERE = host -> {};

    /** Machines on the internet, none of the local network. */
    Reach OUTSIDE = host -> {
        if (isInside(host)) {
            throw new OutOfReachException(host);
        }
    };

    /**
     * Does nothing where a machine is in reach.
     *
     * @throws OutOfReachException when it is not
     */
    void check(String host) throws OutOfReachException;

    /** A machine that must not be connected to. */
    final class OutOfReachException extends IOException {

        OutOfReachException(String host) {
            super(host
                    + " lies inside the local network. The administrator of this installation can allow such servers"
                    + " under Settings, Account. Nothing was sent.");
        }
    }

    /** Whether a name leads to this machine, to which everything may go unencrypted. */
    static boolean isThisMachine(String host) {
        try {
            return InetAddress.getByName(host).isLoopbackAddress();
        } catch (UnknownHostException e) {
            return false;
        }
    }

    /** Whether one of a name's addresses is this machine's, or of a range that is not routed on the internet. */
    static boolean isInside(String host) {
        try {
            for (InetAddress address : InetAddress.getAllByName(host)) {
                if (isInside(address)) {
                    return true;
                }
            }
            return false;
        } catch (UnknownHostException e) {
            return false; // Nothing can connect to it either.
        }
    }

    private static boolean isInside(InetAddress address) {
        byte[] bytes = address.getAddress();
        boolean uniqueLocal = address instanceof Inet6Address && (bytes[0] & 0xfe) == 0xfc;
        boolean sharedByProvider = bytes.length == 4 && bytes[0] == 100 && (bytes[1] & 0xc0) == 64;
        return uniqueLocal
                || sharedByProvider
                || address.isLoopbackAddress()
                || address.isAnyLocalAddress()
                || address.isLinkLocalAddress()
                || address.isSiteLocalAddress()
                || address.isMulticastAddress();
    }
}
