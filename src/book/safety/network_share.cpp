// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/safety/network_share.h"

#include <filesystem>
#include <sys/vfs.h>

namespace dynamet::book {

std::optional<std::string> networkFileSystem(long type) {
    switch (static_cast<unsigned long>(type) & 0xffffffffUL) {
    case 0x6969:
        return "NFS";
    case 0x517b:
    case 0xff534d42:
    case 0xfe534d42:
        return "SMB";
    case 0x5346414f:
    case 0x6b414653:
        return "AFS";
    case 0x00c36400:
        return "Ceph";
    case 0x73757245:
        return "Coda";
    case 0x013111a8:
        return "a cluster's";
    default:
        return std::nullopt;
    }
}

std::optional<std::string> networkShareOf(const std::string& path) {
    struct statfs what {};
    if (::statfs(path.c_str(), &what) == 0)
        return networkFileSystem(static_cast<long>(what.f_type));
    const auto folder = std::filesystem::path(path).parent_path();
    if (::statfs(folder.empty() ? "." : folder.c_str(), &what) != 0)
        return std::nullopt;
    return networkFileSystem(static_cast<long>(what.f_type));
}

} // namespace dynamet::book
